package elvaro.e2e;

import elvaro.server.support.Client;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** The address of every view of the house, each with something of the demo in it. */
final class Views {
    private Views() {}

    static List<String> of(House house) {
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        JsonNode room = client.get("/api/room").body();
        String hanging = "/pieces/" + first(room.at("/chambers/0/pieces"));
        String chamber = "/chambers/" + first(room.path("chambers"));
        String lot = "/lots/" + first(client.get("/api/lots").body());
        String tasting = "/tastings/" + first(client.get("/api/tastings").body());
        JsonNode stock = client.get("/api/stock").body();
        return Stream.of(
                        "/",
                        "/record/changes",
                        "/day",
                        "/plan",
                        "/worth",
                        "/receive",
                        lot,
                        lot + "/recall",
                        hanging,
                        hanging + "/prepare",
                        hanging + "/record",
                        "/weigh?piece=" + first(room.at("/chambers/0/pieces")),
                        "/look?piece=" + first(room.at("/chambers/0/pieces")),
                        "/bench/" + first(room.path("pulled")),
                        chamber,
                        chamber + "/record",
                        "/compare",
                        "/exchange",
                        "/settings",
                        "/reminders",
                        "/alarms/" + first(client.get("/api/alarms").body().path("alarms")),
                        "/treatments",
                        "/trials",
                        "/trials/new",
                        "/trials/" + first(client.get("/api/trials").body()),
                        "/tastings",
                        "/tastings/new",
                        tasting,
                        tasting + "/sheets",
                        "/carcass/new",
                        "/carcass/" + first(client.get("/api/carcasses").body()),
                        "/stock",
                        "/stock/blend",
                        "/stock/render",
                        "/packs/" + first(stock.path("packs")),
                        "/makings/" + first(client.get("/api/makings").body()),
                        "/guide",
                        "/rehearsal",
                        "/no-such-page")
                .toList();
    }

    private static String first(JsonNode list) {
        return list.path(0).path("id").asString();
    }
}
