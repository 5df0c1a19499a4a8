package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** A person at a browser, who finds things by what they are called. */
final class Visitor implements AutoCloseable {
    /** A machine that does other things as well is slow, not wrong. */
    private static final double PATIENCE_MILLIS = 40_000;

    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));

    private static final Browser BROWSER = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-dev-shm-usage",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--use-fake-ui-for-media-stream",
                            "--use-fake-device-for-media-stream",
                            "--use-file-for-fake-video-capture=" + CameraAtHand.SEES)));

    private static final Map<String, List<Cookie>> SESSIONS = new HashMap<>();

    final Page page;
    final List<String> foreignRequests = new ArrayList<>();
    final List<String> complaints = new ArrayList<>();
    private final BrowserContext context;
    private final String address;

    private Visitor(House house, int width, int height) {
        this(house, width, height, ServiceWorkerPolicy.BLOCK);
    }

    private Visitor(House house, int width, int height, ServiceWorkerPolicy installed) {
        this(house, width, height, installed, "en-GB");
    }

    private Visitor(House house, int width, int height, ServiceWorkerPolicy installed, String locale) {
        address = house.address;
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
        context = BROWSER.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(ColorScheme.LIGHT)
                .setHasTouch(width < 1280)
                .setReducedMotion(ReducedMotion.REDUCE)
                .setServiceWorkers(installed)
                .setLocale(locale));
        page = context.newPage();
        page.onRequest(request -> {
            if (!request.url().startsWith(address) && !request.url().startsWith("data:")) {
                foreignRequests.add(request.url());
            }
        });
        page.onConsoleMessage(message -> {
            boolean asked = message.text().contains("the server responded with a status")
                    || message.text().contains("ERR_INTERNET_DISCONNECTED"); // by the test itself
            if (message.type().equals("error") && !asked) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
    }

    static Visitor at(House house) {
        return new Visitor(house, 1280, 800);
    }

    /** One whose browser speaks American. */
    static Visitor abroad(House house) {
        return new Visitor(house, 1280, 800, ServiceWorkerPolicy.BLOCK, "en-US");
    }

    static Visitor withPhone(House house) {
        return new Visitor(house, 390, 844);
    }

    /** The app is installed on it, which takes a while. */
    static Visitor withPhoneOfTheHouse(House house) {
        return new Visitor(house, 390, 844, ServiceWorkerPolicy.ALLOW);
    }

    static Visitor withTablet(House house) {
        return new Visitor(house, 1024, 768);
    }

    Visitor signedIn() {
        return signedInAs(House.OWNER, House.PASSWORD);
    }

    /** By the form the first time; whoever came before keeps the session, as on a device of one's own. */
    Visitor signedInAs(String name, String password) {
        String who = name + " at " + address;
        context.addCookies(SESSIONS.getOrDefault(who, List.of()));
        arrives();
        Locator room = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Room"));
        Locator door = page.getByLabel("Sign-in name");
        room.or(door).first().waitFor();
        if (door.isVisible()) {
            fill("Sign-in name", name);
            fill("Password", password);
            press("Sign in");
        }
        sees("Room");
        SESSIONS.put(who, context.cookies().stream().map(Visitor::again).toList());
        return this;
    }

    private static Cookie again(Cookie cookie) {
        return new Cookie(cookie.name, cookie.value)
                .setDomain(cookie.domain)
                .setPath(cookie.path)
                .setHttpOnly(cookie.httpOnly)
                .setSameSite(cookie.sameSite);
    }

    /** Opens the house's address. */
    Visitor arrives() {
        page.navigate(address);
        return this;
    }

    void visit(String path) {
        page.navigate(address + path);
    }

    /** Opens a view and waits until it stands there. */
    void opens(String path) {
        visit(path);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .first()
                .waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
    }

    /** By the rail; on a phone some views are behind one more touch. */
    void go(String view) {
        Locator link = page.getByRole(AriaRole.NAVIGATION)
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(view).setExact(true));
        Locator more = button("More");
        link.or(more).first().waitFor();
        if (!link.isVisible()) {
            more.click();
        }
        link.click();
        sees(view);
    }

    /** In the room: a round piece by piece. */
    void oneByOne(String work) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^One by one: " + work)))
                .click();
    }

    /** Waits for the title of a view. */
    void sees(String title) {
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                        .first())
                .containsText(title);
    }

    void reads(String text) {
        try {
            assertThat(page.getByText(text).first()).isVisible();
        } catch (AssertionError missing) {
            throw new AssertionError(
                    "%s\nAt %s:\n%s".formatted(missing.getMessage(), page.url(), page.innerText("body")), missing);
        }
    }

    void doesNotRead(String text) {
        assertThat(page.getByText(text)).hasCount(0);
    }

    /** A field by its label, whether it is marked as required or not. */
    Locator field(String label) {
        String words = label.replaceAll(" \\*$", "").replaceAll("[.*+?^${}()|\\[\\]\\\\]", "\\\\$0");
        return page.getByLabel(Pattern.compile("^" + words + "(\\s*\\*)?$"));
    }

    void fill(String label, String text) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(false))
                .first()
                .fill(text);
    }

    /** Types a day into a field that shows it as this browser's people write it. */
    void fillDay(String label, LocalDate day) {
        section(label, "Month", String.valueOf(day.getMonthValue()));
        section(label, "Day", String.valueOf(day.getDayOfMonth()));
        section(label, "Year", String.valueOf(day.getYear()));
    }

    void fillMoment(String label, LocalDateTime at) {
        fillDay(label, at.toLocalDate());
        Locator half = part(label, "Meridiem");
        boolean twelve = half.count() > 0;
        section(label, "Hours", at.format(DateTimeFormatter.ofPattern(twelve ? "hh" : "HH")));
        section(label, "Minutes", at.format(DateTimeFormatter.ofPattern("mm")));
        if (twelve) {
            section(label, "Meridiem", at.getHour() < 12 ? "A" : "P");
        }
    }

    private Locator part(String label, String part) {
        return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(label))
                .getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName(part));
    }

    private void section(String label, String part, String typed) {
        part(label, part).click();
        page.keyboard().type(typed);
    }

    void press(String button) {
        button(button).click();
    }

    Locator button(String name) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }

    void choose(String label, String option) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label))
                .first()
                .click();
        page.getByRole(
                        AriaRole.OPTION,
                        new Page.GetByRoleOptions().setName(option).setExact(true))
                .click();
    }

    void chooseCut(String typed, String name) {
        Locator cut = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Cut"));
        cut.fill(typed);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    /** Opens a piece by its tag, from anywhere. */
    void finds(String tag) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Find"))
                .fill(tag);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(tag))
                .first()
                .click();
        sees(tag);
    }

    /** Takes down the piece that is open; whatever is asked about the weight, it is what the scale showed. */
    Locator takesDown(String weight) {
        press("Pull");
        fill("Weight at the pull", weight);
        press("Pull it");
        Locator cut = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut it"));
        cut.or(page.getByRole(AriaRole.ALERTDIALOG)).first().waitFor();
        if (!cut.isVisible()) {
            keep();
        }
        cut.waitFor();
        return cut;
    }

    /** Keeps a value that was asked about. */
    void keep() {
        page.getByRole(AriaRole.ALERTDIALOG)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep")))
                .click();
    }

    /** Chooses what happened to the piece that is open. */
    void happened(String what) {
        press("What happened …");
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(what))
                .click();
    }

    /** Answers a question of a look. */
    void chip(String name) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(name).setExact(true))
                .or(page.getByRole(
                        AriaRole.CHECKBOX,
                        new Page.GetByRoleOptions().setName(name).setExact(true)))
                .first()
                .click();
    }

    /** The pile at the bench, whatever lies on it. */
    Locator pile(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Onto " + name));
    }

    /** Types what a container weighs and puts it onto a pile. */
    void onto(String pile, String weight) {
        field("Weight of the container").fill(weight);
        pile(pile).click();
        assertThat(field("Weight of the container")).hasValue("");
    }

    /** Chooses how to cut, by the beginning of its words. */
    void cutBy(String way) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("How to cut"))
                .click();
        Locator radio = page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(way));
        radio.click();
        assertThat(radio).isChecked();
        page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Close").setExact(true))
                .click();
    }

    /** How far the page is wider than the screen. */
    int overflow() {
        return ((Number) page.evaluate("document.documentElement.scrollWidth - window.innerWidth")).intValue();
    }

    @Override
    public void close() {
        context.close();
    }
}
