using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>What the pages look like: to a screen reader, on a phone, and in pictures.</summary>
[Collection("app")]
public class LookTests(App app)
{
    private static readonly string Axe = File.ReadAllText(Path.Combine(Root(), "node_modules", "axe-core", "axe.min.js"));

    [Theory]
    [InlineData("/", "h1")]
    [InlineData("/new", "#words")]
    [InlineData("/new?said=Zo%C3%AB%20on%20a%20dark%20tote%20for%20Sunday", "#glimpse svg")]
    [InlineData("/habits?try=size", "#habits")]
    [InlineData("/workshop", "#keep")]
    [InlineData("/sheets/10", "#proofed")]
    [InlineData("/sheets/11?kind=work", ".leaf")]
    [InlineData("/sheets/13?kind=placement", ".leaf")]
    [InlineData("/bench/5?Station=time", "#bench")]
    [InlineData("/bench/3?Face=marks&View=close&Station=stitches", "#bench")]
    [InlineData("/bench/2?Face=hoops&Station=transfer", "#bench")]
    [InlineData("/bench/1", "#bench")]
    [InlineData("/bench/9?View=whole&Face=back&Station=space", "#bench")]
    [InlineData("/bench/6?View=close&Face=order&Station=order", "#bench")]
    [InlineData("/bench/6?Station=finish", "#bench")]
    [InlineData("/bench/11?Station=thread", "#bench")]
    [InlineData("/bench/12?Station=item", "#bench")]
    [InlineData("/bench/99", "h1")]
    public void Axe_finds_nothing(string path, string there)
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri(app.Url + path));
        App.Until(() => browser.FindElement(By.CssSelector(there)).Displayed, "the page is there");
        browser.ExecuteScript("document.querySelectorAll('details').forEach(d => d.open = true)");
        browser.ExecuteScript(Axe);
        var found = browser.ExecuteAsyncScript("const done = arguments[arguments.length - 1]; axe.run().then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target).slice(0, 3).join(' | '))));");
        Assert.Empty(((IReadOnlyCollection<object>)found!).Select(f => f.ToString()));
    }

    [Theory]
    [InlineData("/")]
    [InlineData("/new")]
    [InlineData("/bench/5")]
    [InlineData("/bench/9?Face=order&Station=order")]
    [InlineData("/bench/1")]
    [InlineData("/sheets/11")]
    [InlineData("/habits")]
    [InlineData("/workshop")]
    public void Nothing_sticks_out_on_phone_or_tablet(string path)
    {
        foreach (var (width, height) in new[] { (390, 844), (820, 1180) })
        {
            using var browser = app.Browser(width, height);
            browser.Navigate().GoToUrl(new Uri(app.Url + path));
            var wide = Convert.ToInt32(browser.ExecuteScript("return document.documentElement.scrollWidth"), System.Globalization.CultureInfo.InvariantCulture);
            Assert.InRange(wide, 1, width);
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
    public async Task A_page_is_small_as_it_travels(string path)
    {
        using var client = new HttpClient();
        client.DefaultRequestHeaders.AcceptEncoding.ParseAdd("br, gzip");
        var page = await client.GetAsync(new Uri(app.Url + path));
        Assert.NotEmpty(page.Content.Headers.ContentEncoding);
        Assert.InRange((await page.Content.ReadAsByteArrayAsync()).Length, 1_000, 250_000);
    }

    /// <summary>A picture of each main view at 1280 × 800, in DITTANY_SHOTS where that is set: of that size, and not blank.</summary>
    [Theory]
    [Trait("Category", "Shots")]
    [InlineData("today", "/")]
    [InlineData("new-piece", "/new")]
    [InlineData("bench", "/bench/10")]
    [InlineData("bench-bodysuit", "/bench/9?View=whole&Station=space")]
    [InlineData("bench-napkin", "/bench/8?Station=space")]
    [InlineData("bench-hoops", "/bench/7?Face=hoops&View=whole&Station=hoop")]
    [InlineData("bench-back", "/bench/4?Face=back&View=close&Station=order")]
    [InlineData("bench-order", "/bench/11?Face=order&View=close&Station=order")]
    [InlineData("bench-tote-chain", "/bench/3?View=close&Station=stitches")]
    [InlineData("bench-marks-dark", "/bench/6?Face=marks&View=close&Station=transfer")]
    [InlineData("bench-close", "/bench/4?View=at_95_70_34&Station=stitches")]
    [InlineData("bench-late", "/bench/5?Station=time")]
    [InlineData("bench-concerns", "/bench/1")]
    [InlineData("sheets-proof", "/sheets/6")]
    [InlineData("sheets", "/sheets/11?kind=placement")]
    [InlineData("habits", "/habits?try=letter-stitch")]
    [InlineData("workshop", "/workshop")]
    public void A_picture_of_each_main_view(string name, string path)
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri(app.Url + path));
        if (name == "new-piece")
        {
            browser.FindElement(By.Id("said")).SendKeys("Oda & Bertil on a mustard tote for Sunday week");
            App.Until(() => browser.FindElement(By.CssSelector("#glimpse svg")).Displayed && browser.FindElement(By.Id("glimpse")).Text.Contains("Oda & Bertil", StringComparison.Ordinal), "the plan shows itself");
        }

        App.Until(() => browser.ExecuteScript("return document.fonts.status === 'loaded' && document.readyState === 'complete'") is true, "the fonts are there");
        var png = browser.GetScreenshot().AsByteArray;
        Assert.Equal((1280, 800), (Number(png, 16), Number(png, 20)));
        Assert.True(png.Length > 25_000, "the picture is nearly blank");
        if (Environment.GetEnvironmentVariable("DITTANY_SHOTS") is { Length: > 0 } folder)
        {
            Directory.CreateDirectory(folder);
            File.WriteAllBytes(Path.Combine(folder, $"{name}.png"), png);
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
