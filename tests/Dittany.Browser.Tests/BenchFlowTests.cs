using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>A maker at the bench, in a real browser.</summary>
[Collection("app")]
public class BenchFlowTests(App app)
{
    [Fact]
    public void Three_answers_give_a_plan_that_is_overruled_and_undone_without_a_reload()
    {
        using var browser = app.Browser();
        Make(browser, "Marigold");
        Assert.Contains("Marigold, on a tea towel", browser.FindElement(By.TagName("h1")).Text, StringComparison.Ordinal);

        // Were the page loaded anew, this mark would be gone.
        browser.ExecuteScript("window.stillHere = true");
        var slip = By.Id("slip-transfer-method");
        browser.ExecuteScript("document.querySelector('#slip-transfer-method details').open = true; document.querySelector('#slip-transfer-method button[value=hot-iron]').click()");
        App.Until(() => browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal), "the slip says that it was her choice");
        Assert.Contains("printed mirrored", browser.FindElement(slip).Text, StringComparison.Ordinal);
        App.Until(() => browser.ExecuteScript("return document.querySelector('#slip-transfer-method details').open") is true, "the slip is still open");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);

        browser.FindElement(By.TagName("body")).SendKeys("z");
        App.Until(() => !browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal), "undo takes it back");
        browser.FindElement(By.Id("redo")).Click();
        App.Until(() => browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal), "redo brings it again");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);
        NoComplaints(browser);
    }

    [Fact]
    public void Words_size_strands_and_place_change_by_hand_and_key()
    {
        using var browser = app.Browser();
        Make(browser, "Tansy");
        browser.ExecuteScript("window.stillHere = true");
        var words = browser.FindElement(By.Id("words"));
        words.Clear();
        words.SendKeys("Tansy & Rue" + Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".proof")).Text.Contains("capital R · u · e", StringComparison.Ordinal), "the new words are planned");

        var before = Told(browser);
        browser.FindElement(By.Id("drawing")).SendKeys("-");
        App.Until(() => Told(browser) != before, "the minus key makes the capitals lower");

        // Three presses of an arrow are one step back.
        var drawing = browser.FindElement(By.Id("drawing"));
        drawing.SendKeys(Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight);
        App.Until(() => browser.PageSource.Contains("3 mm to the right of the dot", StringComparison.Ordinal), "three arrows move the words by 3 mm");
        browser.FindElement(By.Id("undo")).Click();
        App.Until(() => !browser.PageSource.Contains("mm to the right of the dot", StringComparison.Ordinal), "one undo takes all three back");

        browser.ExecuteScript("document.querySelector('#slip-thread-strands details').open = true; document.querySelector('#slip-thread-strands details button[name=value]').click()");
        App.Until(() => browser.FindElement(By.Id("slip-thread-strands")).Text.Contains("your choice", StringComparison.Ordinal), "the strands are hers");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);
        NoComplaints(browser);
    }

    [Fact]
    public void A_face_once_chosen_stays_through_changes()
    {
        using var browser = app.Browser();
        Make(browser, "Sorrel");
        Assert.True(browser.FindElement(By.CssSelector(".face-stitched .thread")).Displayed);
        browser.FindElement(By.TagName("body")).SendKeys("m");
        App.Until(() => browser.FindElement(By.CssSelector(".face-marks .mark")).Displayed, "the marks are shown");
        Assert.False(browser.FindElement(By.CssSelector(".face-stitched .thread")).Displayed);
        browser.FindElement(By.Id("smaller")).Click();
        App.Until(() => browser.FindElements(By.CssSelector("#slip-words-size .yours")).Count == 1, "the size has changed");
        Assert.True(browser.FindElement(By.CssSelector(".face-marks .mark")).Displayed);
        browser.FindElement(By.Id("view-close")).Click();
        App.Until(() => browser.FindElement(By.Id("view-close")).GetAttribute("aria-current") == "true", "the view is close");
        NoComplaints(browser);
    }

    [Fact]
    public void Words_that_cannot_be_written_are_told_and_kept()
    {
        using var browser = app.Browser();
        Make(browser, "Yarrow");
        var words = browser.FindElement(By.Id("words"));
        words.Clear();
        words.SendKeys("Дом" + Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".trouble")).Text.Contains('Д', StringComparison.Ordinal), "the letter is named");
        Assert.Equal("Дом", browser.FindElement(By.Id("words")).GetAttribute("value"));
    }

    [Fact]
    public void With_scripts_off_everything_still_works()
    {
        using var browser = app.Browser(scripts: false);
        Make(browser, "Comfrey");
        browser.FindElement(By.CssSelector("#slip-transfer-method summary")).Click();
        browser.FindElement(By.CssSelector("#slip-transfer-method button[value=hot-iron]")).Click();
        App.Until(() => browser.FindElement(By.Id("slip-transfer-method")).Text.Contains("your choice", StringComparison.Ordinal), "the overrule stands");
        browser.FindElement(By.Id("undo")).Click();
        App.Until(() => !browser.FindElement(By.Id("slip-transfer-method")).Text.Contains("your choice", StringComparison.Ordinal), "it is undone");
        browser.FindElement(By.Id("move-right")).Click();
        App.Until(() => browser.PageSource.Contains("1 mm to the right of the dot", StringComparison.Ordinal), "the words have moved");
        browser.FindElement(By.CssSelector(".to-marks")).Click();
        App.Until(() => browser.FindElement(By.CssSelector(".face-marks .mark")).Displayed, "the marks are shown");
    }

    [Fact]
    public void The_template_opens_as_a_pdf()
    {
        using var browser = app.Browser();
        Make(browser, "Borage");
        var link = browser.FindElement(By.Id("template")).GetAttribute("href");
        var told = (string?)browser.ExecuteAsyncScript(
            "const done = arguments[arguments.length - 1]; fetch(arguments[0]).then(async r => done(r.headers.get('content-type') + ' ' + new TextDecoder().decode((await r.arrayBuffer()).slice(0, 5))));", link);
        Assert.Equal("application/pdf %PDF-", told);
    }

    internal static void Make(ChromeDriver browser, string words, string url)
    {
        browser.Navigate().GoToUrl(new Uri($"{url}/new"));
        browser.FindElement(By.Id("words")).SendKeys(words);
        browser.FindElement(By.Id("plan")).Click();
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
    }

    private void Make(ChromeDriver browser, string words) => Make(browser, words, app.Url);

    private static string Told(ChromeDriver browser) => browser.FindElement(By.CssSelector(".grow-form .told")).Text;

    /// <summary>The content policy and the scripts had nothing to complain about.</summary>
    private static void NoComplaints(ChromeDriver browser) =>
        Assert.Empty(browser.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message));
}
