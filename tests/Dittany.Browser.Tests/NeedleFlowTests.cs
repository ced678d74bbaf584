using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>Beside the hoop: by keyboard alone, on a phone, in the dark, and without a connection.</summary>
public sealed class NeedleFlowTests(App app) : IClassFixture<App>
{
    private static string Shown(ChromeDriver browser) =>
        browser.FindElement(By.CssSelector(".needle-step:not([hidden])")).GetAttribute("data-id")!;

    private static void Press(ChromeDriver browser, string key) =>
        new OpenQA.Selenium.Interactions.Actions(browser).SendKeys(key).Perform();

    private string Made(ChromeDriver browser, string words)
    {
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString(words)}"));
        App.Until(() => browser.FindElements(By.CssSelector("#glimpse svg")).Count > 0, "the piece can be seen");
        browser.FindElement(By.Id("plan")).Click();
        App.Until(() => browser.Url.Contains("/bench/", StringComparison.Ordinal), "the bench is there");
        return browser.Url.Split('?')[0].Split('/')[^1];
    }

    /// <summary>
    /// By keyboard alone on a phone's screen: space and the right arrow go on at once, the left one looks back, and what was done is on the
    /// server; then with the connection gone three steps are kept and sent when it is back, each once.
    /// </summary>
    [Fact]
    public void Steps_go_on_by_keyboard_and_without_a_connection()
    {
        using var browser = app.Browser(390, 844);
        var piece = Made(browser, "Rosalind on a tea towel");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/needle/{piece}"));
        App.Until(() => Shown(browser) == "wash", "the first step is shown");
        var ids = browser.FindElements(By.CssSelector(".needle-step")).Select(s => s.GetAttribute("data-id")!).ToArray();
        Typed(browser, "3");
        Press(browser, Keys.ArrowRight);
        App.Until(() => Shown(browser) == ids[1], "the second is shown");
        Press(browser, Keys.ArrowLeft);
        App.Until(() => Shown(browser) == ids[0], "the first is looked at again");
        Press(browser, Keys.ArrowRight);
        App.Until(() => Waiting(browser) == 0, "all is sent");
        At(browser, piece, "1");

        App.Offline(browser, true);
        for (var i = 0; i < 3; i++)
        {
            var now = Shown(browser);
            Typed(browser, "4");
            Press(browser, Keys.Space);
            App.Until(() => Shown(browser) != now, "the next is shown at once");
        }

        Assert.Equal(3, Waiting(browser));
        App.Until(() => browser.FindElement(By.Id("needle-waits")).Text.Contains("steps wait here", StringComparison.Ordinal), "it is said what waits");
        App.Offline(browser, false);
        App.Until(() => Waiting(browser) == 0, "what waited is sent");
        At(browser, piece, "4");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/log/{piece}"));
        Assert.Equal(4, browser.FindElements(By.CssSelector(".log-entries > li")).Count);
    }

    /// <summary>A pause is a pause, dark is kept, and a tap on the drawing goes on; focus stands on the step that is shown.</summary>
    [Fact]
    public void A_pause_is_a_pause_and_the_dark_is_kept()
    {
        using var browser = app.Browser(820, 1180);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/needle/11"));
        App.Until(() => Shown(browser).StartsWith("length-", StringComparison.Ordinal), "a length is shown");
        browser.FindElement(By.Id("needle-pause")).Click();
        App.Until(() => browser.FindElement(By.Id("needle-clock")).Text.StartsWith("paused at", StringComparison.Ordinal), "it is paused");
        browser.FindElement(By.Id("needle-pause")).Click();
        App.Until(() => browser.FindElement(By.Id("needle-clock")).Text is { Length: > 0 } clock && !clock.StartsWith("paused", StringComparison.Ordinal),
            "it goes on");
        browser.FindElement(By.Id("needle-dark")).Click();
        Assert.Contains("needle-night", browser.FindElement(By.TagName("html")).GetAttribute("class"), StringComparison.Ordinal);
        browser.Navigate().Refresh();
        App.Until(() => browser.FindElement(By.TagName("html")).GetAttribute("class")!.Contains("needle-night", StringComparison.Ordinal), "it is dark still");
        browser.FindElement(By.Id("needle-dark")).Click();
        Assert.Equal("step-7", (string?)browser.ExecuteScript("document.querySelector('.needle-step:not([hidden]) h1').focus(); return document.activeElement.id"));
    }

    private static void Typed(ChromeDriver browser, string minutes)
    {
        var field = browser.FindElement(By.CssSelector(".needle-step:not([hidden]) input[name=minutes]"));
        field.SendKeys(minutes);
        browser.ExecuteScript("document.activeElement.blur()");
    }

    private static int Waiting(ChromeDriver browser) => Convert.ToInt32(browser.ExecuteScript(
        "return JSON.parse(localStorage.getItem('needle-' + document.getElementById('needle').dataset.piece) || '[]').length"), CultureInfo.InvariantCulture);

    private void At(ChromeDriver browser, string piece, string at)
    {
        using var client = new HttpClient();
        App.Until(() => client.GetStringAsync(new Uri($"{app.Url}/needle/{piece}")).Result.Contains($"data-at=\"{at}\"", StringComparison.Ordinal),
            $"the server has it at step {at}; {browser.Url}");
    }
}
