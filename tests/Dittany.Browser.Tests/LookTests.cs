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
    [InlineData("/bench/5", "#bench")]
    [InlineData("/bench/3?face=marks&view=close", "#bench")]
    [InlineData("/bench/2", "#bench")]
    [InlineData("/bench/1", "#bench")]
    [InlineData("/bench/9?view=whole", "#bench")]
    [InlineData("/bench/6?view=close", "#bench")]
    [InlineData("/bench/4", "#bench")]
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
    [InlineData("/bench/9")]
    public void Nothing_sticks_out_on_a_phone(string path)
    {
        using var browser = app.Browser(390, 844);
        browser.Navigate().GoToUrl(new Uri(app.Url + path));
        var wide = Convert.ToInt32(browser.ExecuteScript("return document.documentElement.scrollWidth"), System.Globalization.CultureInfo.InvariantCulture);
        Assert.InRange(wide, 1, 390);
    }

    /// <summary>A picture of each main view at 1280 × 800, in DITTANY_SHOTS where that is set: of that size, and not blank.</summary>
    [Theory]
    [Trait("Category", "Shots")]
    [InlineData("pieces", "/")]
    [InlineData("new-piece", "/new")]
    [InlineData("bench", "/bench/10")]
    [InlineData("bench-bodysuit", "/bench/9?view=whole")]
    [InlineData("bench-napkin", "/bench/8")]
    [InlineData("bench-tote-chain", "/bench/3?view=close")]
    [InlineData("bench-marks-dark", "/bench/6?face=marks&view=close")]
    [InlineData("bench-close", "/bench/4?view=close")]
    [InlineData("bench-late", "/bench/5")]
    [InlineData("bench-concerns", "/bench/1")]
    public void A_picture_of_each_main_view(string name, string path)
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri(app.Url + path));
        if (name == "new-piece")
        {
            browser.FindElement(By.Id("words")).SendKeys("Oda & Bertil");
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
