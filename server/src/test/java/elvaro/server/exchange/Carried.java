package elvaro.server.exchange;

import elvaro.server.chain.HouseKey;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** An archive as whoever carries it can open, change and seal it. */
record Carried(Map<String, byte[]> entries) {
    static final JsonMapper JSON = new JsonMapper();

    static byte[] from(Client client) {
        var answer = client.bytes("GET", "/api/exchange/archive.zip", "application/zip", new byte[0]);
        if (answer.statusCode() != 200) {
            throw new AssertionError(new String(answer.body(), StandardCharsets.UTF_8));
        }
        return answer.body();
    }

    static Carried opened(byte[] archive) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), zip.readAllBytes());
            }
        }
        return new Carried(entries);
    }

    ObjectNode tree() {
        return (ObjectNode) JSON.readTree(entries.get("record.json"));
    }

    static byte[] sealed(ObjectNode tree) throws IOException {
        return sealed(JSON.writeValueAsBytes(tree));
    }

    static byte[] sealed(ObjectNode tree, HouseKey key) throws IOException {
        return sealed(JSON.writeValueAsBytes(tree), key);
    }

    static byte[] sealed(byte[] record) throws IOException {
        return sealed(record, RunningApp.bean(HouseKey.class));
    }

    private static byte[] sealed(byte[] record, HouseKey key) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ZipOutputStream zip = new ZipOutputStream(new Sealed.SealedStream(bytes, key));
        zip.setComment(Sealed.BLANK);
        zip.putNextEntry(new ZipEntry("record.json"));
        zip.write(record);
        zip.closeEntry();
        zip.close();
        return bytes.toByteArray();
    }

    /** What an archive brought that is whole. */
    static JsonNode taken(Client client, byte[] archive) {
        JsonNode last = take(client, archive, false);
        if (!last.has("taken")) {
            throw new AssertionError(last.toString());
        }
        return last.get("taken");
    }

    /** The last line of the answer. */
    static JsonNode take(Client client, byte[] archive, boolean dry) {
        var answer = client.bytes("POST", "/api/exchange/archive?dry=" + dry, "application/zip", archive);
        String[] lines =
                new String(answer.body(), StandardCharsets.UTF_8).strip().split("\n");
        return JSON.readTree(lines[lines.length - 1]);
    }
}
