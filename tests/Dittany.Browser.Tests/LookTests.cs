using OpenQA.Selenium;

namespace Dittany.Browser.Tests;

/// <summary>What the pages look like: to a screen reader, on a phone, and in pictures.</summary>
public sealed class LookTests(App app) : IClassFixture<App>
{
    private static readonly string Axe = File.ReadAllText(Path.Combine(Root(), "node_modules", "axe-core", "axe.min.js"));

    /// <summary>Pages as a screen reader meets them, on light and on dark cloth, with everything opened.</summary>
    private static readonly (string Path, string There)[] Pages =
    [
        ("/", "h1"),
        ("/new", "#words"),
        ("/new?said=Zo%C3%AB%20on%20a%20dark%20tote%20for%20Sunday", "#glimpse svg"),
        ("/new?said=daisy%20on%20a%20sparkly%20tote", "#asked"),
        ("/habits?try=size", "#habits"),
        ("/workshop", "#keep"),
        ("/sheets/10", "#proofed"),
        ("/sheets/11?kind=work", ".leaf"),
        ("/sheets/13?kind=placement", ".leaf"),
        ("/bench/5?Station=time", "#bench"),
        ("/bench/3?Face=marks&View=close&Station=stitches", "#bench"),
        ("/bench/2?Face=hoops&Station=transfer", "#bench"),
        ("/bench/1", "#bench"),
        ("/bench/9?View=whole&Face=back&Station=space", "#bench"),
        ("/bench/6?View=close&Face=order&Station=order", "#bench"),
        ("/bench/6?Station=finish", "#bench"),
        ("/bench/11?Station=thread", "#bench"),
        ("/bench/12?Station=item", "#bench"),
        ("/bench/99", "h1"),
        ("/bench/15?Station=item", "#bench"),
        ("/bench/16?Face=marks&View=whole&Station=space", "#bench"),
        ("/bench/17?Station=space", "#bench"),
        ("/bench/18?Station=words", "#will-it-read"),
        ("/bench/19?Face=metre&Station=words", "#bench"),
        ("/bench/20?Station=words", "#slip-hands"),
        ("/bench/25?Station=space&Place=sleeve", "#slip-elsewhere"),
        ("/letters?Piece=18", ".specimen"),
        ("/stitches/heights", ".heights img"),
        ("/needle/11", ".needle-step:not([hidden])"),
        ("/log", "#by-kind"),
        ("/log/11", "#by-kind"),
        ("/log/11/photograph", "h2"),
        ("/compare/10?Decision=hoop.school&Choice=in-hand", "#compared"),
        ("/book?Asked=the%20green%20of%20the%20spring%20bag", ".book-pieces"),
        ("/motifs?Piece=18", ".motif-shelf"),
        ("/motifs?Motif=sunflower&Piece=18&Arrangement=scatter", "#put"),
        ("/motifs/trace", "#made-up-sketch"),
        ("/motifs/trace/1", "#sketch-frame image"),
        ("/set?Names=Ida%0AMaximilian%0AZo%C3%AB&Form=christmas-stocking", "#governs"),
        ("/stitches", ".stitch-shelf"),
        ("/stitches/stem?Piece=1", "#moving"),
        ("/try/1", "#makes"),
        ("/try/1?A=split-2&B=backstitch-2", "#beside"),
        ("/sheets/23?kind=layers", ".sheet-kinds"),
        ("/cupboard/threads?Like=%237d8a45", "#chart"),
        ("/cupboard", "#shelves"),
        ("/cupboard/form/t-shirt-adult", "#scale"),
        ("/cupboard/form/backpack?TrueSize=true", "#scale"),
        ("/cupboard/measure?Shape=trapezoid", "#measured"),
        ("/cupboard/print/1", "#take-in"),
        ("/cupboard/photograph", "#take-in"),
        ("/cupboard/photograph/1", "#trace"),
        ("/cupboard/own/own-ida-s-pinafore", ".handle"),
        ("/cupboard/cloth?A[stretch]=some", "#guesses"),
    ];

    /// <summary>
    /// Takes out what is drawn and says nothing: a reader of the page meets neither a stitch nor a line, and a bench has thousands.
    /// Whatever has a name, a role or the focus stays.
    /// </summary>
    private const string LeaveOutLines = """
        const says = (e) => e.children.length > 0 || [...e.attributes].some((a) => a.name === 'role' || a.name === 'tabindex'
            || a.name === 'id' || a.name.startsWith('aria-') || a.name === 'href');
        document.querySelectorAll('svg path, svg line, svg polyline, svg polygon, svg circle, svg rect')
            .forEach((e) => { if (!says(e)) { e.remove(); } });
        """;

    /// <summary>The ids that more than one thing on the page bears (the HTML standard allows one).</summary>
    private const string Twice = """
        const ids = [...document.querySelectorAll('[id]')].map((e) => e.id);
        return [...new Set(ids.filter((id, i) => ids.indexOf(id) !== i))];
        """;

    [Fact]
    public void Axe_finds_nothing()
    {
        using var browser = app.Browser();
        var all = new List<string>();
        foreach (var (path, there) in Pages)
        {
            browser.Navigate().GoToUrl(new Uri(app.Url + path));
            App.Until(() => browser.FindElement(By.CssSelector(there)).Displayed, $"{path} is there");
            browser.ExecuteScript("document.querySelectorAll('details').forEach(d => d.open = true)");
            all.AddRange(((IReadOnlyCollection<object>)browser.ExecuteScript(Twice)!).Select(id => $"{path} has the id '{id}' twice"));
            browser.ExecuteScript(LeaveOutLines);
            browser.ExecuteScript(Axe);
            var found = browser.ExecuteAsyncScript(
                "const done = arguments[arguments.length - 1]; axe.run({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } }).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n "
                    + "=> n.target).slice(0, 60).join(' | '))));");
            all.AddRange(((IReadOnlyCollection<object>)found!).Select(f => $"{path} {f}"));
        }

        Assert.True(all.Count == 0, string.Join("\n", all));
    }

    [Theory]
    [InlineData(390, 844)]
    [InlineData(820, 1180)]
    public void Nothing_sticks_out_on_phone_or_tablet(int width, int height)
    {
        using var browser = app.Browser(width, height);
        foreach (var path in new[] { "/", "/new", "/bench/5", "/bench/9?Face=order&Station=order", "/bench/1", "/sheets/11", "/habits",
            "/workshop", "/cupboard", "/cupboard/form/shirt", "/cupboard/measure", "/cupboard/photograph/1",
            "/cupboard/own/own-ida-s-pinafore", "/bench/18?Station=words", "/letters?Piece=18", "/motifs?Piece=18", "/motifs/trace/1",
            "/set?Names=Ida&Form=tote", "/stitches", "/stitches/chain", "/try/1?A=split-2&B=stem-2", "/cupboard/threads", "/needle/11", "/log/11", "/book" })
        {
            browser.Navigate().GoToUrl(new Uri(app.Url + path));
            Assert.InRange(Convert.ToInt32(browser.ExecuteScript("return document.documentElement.scrollWidth"),
                System.Globalization.CultureInfo.InvariantCulture), 1, width);
        }
    }

    /// <summary>Whatever the browser asks for with a page, drawing included, is under 250 KB as it travels.</summary>
    [Theory]
    [InlineData("/")]
    [InlineData("/new")]
    [InlineData("/bench/7?View=close")]
    [InlineData("/bench/5")]
    [InlineData("/habits?try=size")]
    [InlineData("/sheets/11?kind=work")]
    [InlineData("/cupboard")]
    [InlineData("/stitches")]
    [InlineData("/needle/22")]
    [InlineData("/try/1")]
    [InlineData("/cupboard/form/t-shirt-adult")]
    public async Task A_page_is_small_as_it_travels(string path)
    {
        using var client = new HttpClient();
        client.DefaultRequestHeaders.AcceptEncoding.ParseAdd("br, gzip");
        var page = await client.GetAsync(new Uri(app.Url + path));
        Assert.NotEmpty(page.Content.Headers.ContentEncoding);
        Assert.InRange((await page.Content.ReadAsByteArrayAsync()).Length, 1_000, 250_000);
    }

    private static readonly (string Name, string Path)[] Views =
    [
        ("today", "/"),
        ("new-piece", "/new"),
        ("bench", "/bench/10"),
        ("bench-hoops", "/bench/24?Face=hoops&View=whole&Station=hoop"),
        ("bench-order", "/bench/24?Face=order&Station=order"),
        ("bench-places", "/bench/25?View=whole&Station=order&Place=bodice"),
        ("stitch", "/stitches/stem?Piece=1"),
        ("try-out", "/try/1?A=split-2&B=chain-1"),
        ("cupboard", "/cupboard"),
        ("photograph", "/cupboard/photograph/1"),
        ("letters", "/letters?Piece=18"),
        ("motifs", "/motifs?Piece=18"),
        ("bench-back", "/bench/24?Face=back&Station=order"),
        ("bench-filled", "/bench/22?Station=stitches&View=close"),
        ("bench-stencil", "/bench/23?Face=marks&View=close&Station=stitches"),
        ("sheets", "/sheets/11?kind=placement"),
        ("habits", "/habits?try=size"),
        ("threads", "/cupboard/threads?Like=%237d8a45"),
        ("needle", "/needle/11"),
    ];

    /// <summary>
    /// A picture of each main view at 1280 × 800, not blank, and shown where the reader begins. Where DITTANY_SHOTS names a folder they
    /// are taken
    /// anew into it.
    /// </summary>
    [Fact]
    [Trait("Category", "Shots")]
    public void A_picture_of_each_main_view()
    {
        if (Environment.GetEnvironmentVariable("DITTANY_SHOTS") is { Length: > 0 } folder)
        {
            Directory.CreateDirectory(folder);
            Take(folder);
        }

        var kept = Path.Combine(Root(), "docs", "screenshots");
        var read = File.ReadAllText(Path.Combine(Root(), "README.md"));
        Assert.Equal(Views.Select(v => $"{v.Name}.png").Order(StringComparer.Ordinal),
            Directory.EnumerateFiles(kept).Select(f => Path.GetFileName(f)).Order(StringComparer.Ordinal));
        foreach (var (name, _) in Views)
        {
            var png = File.ReadAllBytes(Path.Combine(kept, $"{name}.png"));
            Assert.Equal((1280, 800), (Number(png, 16), Number(png, 20)));
            Assert.True(png.Length > 25_000, $"the picture '{name}' is nearly blank");
            Assert.Contains($"docs/screenshots/{name}.png", read, StringComparison.Ordinal);
        }
    }

    private void Take(string folder)
    {
        using var browser = app.Browser();
        foreach (var (name, path) in Views)
        {
            browser.Navigate().GoToUrl(new Uri(app.Url + path));
            if (name == "new-piece")
            {
                browser.FindElement(By.Id("said")).SendKeys("Ida and two bees in rust on a sparkly linen tote for Sunday week");
                App.Until(() => browser.FindElement(By.CssSelector("#glimpse svg")).Displayed
                    && browser.FindElement(By.Id("glimpse")).Text.Contains("Ida and two bees", StringComparison.Ordinal),
                    "the plan shows itself");
            }

            App.Until(() => browser.FindElements(By.CssSelector(".slow")).Count == 0, "all plans are there");
            App.Until(() => browser.ExecuteScript(
                "return document.fonts.status === 'loaded' && document.readyState === 'complete'") is true, "the fonts are there");
            App.Until(() => browser.ExecuteScript(
                "return [...document.images].filter((i) => { const b = i.getBoundingClientRect(); return i.checkVisibility() && b.bottom > 0 && b.top < "
                    + "innerHeight; }).every((i) => i.complete && i.naturalWidth > 0)") is true, "the pictures on the page are there");
            File.WriteAllBytes(Path.Combine(folder, $"{name}.png"), browser.GetScreenshot().AsByteArray);
        }
    }

    private static int Number(byte[] png, int at) => (png[at] << 24) | (png[at + 1] << 16) | (png[at + 2] << 8) | png[at + 3];

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "package.json")))
        {
            at = at.Parent ?? throw new DirectoryNotFoundException("package.json stands nowhere above the tests.");
        }

        return at.FullName;
    }
}
