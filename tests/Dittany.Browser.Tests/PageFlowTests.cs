using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>
/// The pages round the bench in a real browser: a saying, today, the sheets, habits and workshop. On a program of their own, for they
/// change the workshop.
/// </summary>
public sealed class PageFlowTests(OwnApp app) : IClassFixture<OwnApp>
{
    /// <summary>While she types, the answers fill themselves and the plan shows itself; a picked item stands against the saying.</summary>
    [Fact]
    public void A_saying_is_understood_while_it_is_typed()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new"));
        browser.FindElement(By.Id("said")).SendKeys("Zoë on a bodysuit for Sunday week");
        App.Until(() => browser.FindElement(By.Id("glimpse")).Text.Contains("Zoë, on a baby bodysuit", StringComparison.Ordinal)
            && browser.FindElement(By.CssSelector("#glimpse svg .thread")).Displayed, "the plan shows itself");
        Assert.Equal("Zoë", browser.FindElement(By.Id("words")).GetAttribute("value"));
        Assert.True(browser.FindElement(By.CssSelector("input[name=Form][value=baby-bodysuit]")).Selected);
        Assert.Contains("That is Sunday", browser.FindElement(By.Id("day-help")).Text, StringComparison.Ordinal);
        Assert.Equal("said", browser.SwitchTo().ActiveElement().GetAttribute("id"));
        App.Click(browser, By.CssSelector("input[name=Form][value=tote]"));
        App.Until(() => browser.FindElement(By.Id("glimpse")).Text.Contains("Zoë, on a tote", StringComparison.Ordinal),
            "the picked item counts");
        browser.FindElement(By.Id("words")).SendKeys(" & Jo");
        App.Until(() => browser.FindElement(By.Id("glimpse")).Text.Contains("Zoë & Jo, on a tote", StringComparison.Ordinal),
            "changed words count");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.TagName("h1")).Text.Contains("Zoë & Jo, on a tote", StringComparison.Ordinal),
            "the plan is there");
        App.NoComplaints(browser);
    }

    /// <summary>Each word carries its label while it is typed; with keys alone one is made something else, and stays so.</summary>
    [Fact]
    public void A_word_is_corrected_with_keys_alone_and_stays_so()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new"));
        var said = browser.FindElement(By.Id("said"));
        said.SendKeys("daisy on a tote");
        App.Until(() => browser.FindElement(By.CssSelector(".span-motif .said-word")).Text == "daisy", "it is taken for the motif");
        said.SendKeys(Keys.Tab);
        Assert.Equal("summary", browser.SwitchTo().ActiveElement().TagName);
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".span-motif button[value^='words:']")).Displayed, "what else it could be is shown");
        browser.FindElement(By.CssSelector(".span-motif button[value^='words:']")).SendKeys(Keys.Enter);
        App.Until(() => browser.FindElements(By.CssSelector(".span-words .said-word")).Count == 1
            && browser.FindElement(By.Id("words")).GetAttribute("value") == "daisy", "it is words now");
        browser.FindElement(By.Id("said")).SendKeys(Keys.End + " for Friday");
        App.Until(() => browser.FindElements(By.CssSelector(".span-day")).Count == 1 && browser.FindElements(By.CssSelector(".span-words")).Count == 1,
            "it stays so while she types on");
        App.NoComplaints(browser);
    }

    /// <summary>A newer request that takes the place of one under way is nothing to complain of; one that comes to nothing is.</summary>
    [Fact]
    public void A_request_given_up_for_a_newer_one_is_no_complaint_and_one_that_fails_is()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new"));
        const string twice = """
            const said = document.getElementById('said');
            const ask = () => htmx.ajax('POST', arguments[0], { source: said, target: '#answers', swap: 'outerHTML' }).catch(() => { });
            said.value = 'daisy on a tote'; ask();
            said.value = 'Zoë on a tote'; ask();
            """;
        browser.ExecuteScript(twice, "/new?handler=Understand");
        App.Until(() => browser.FindElement(By.CssSelector(".span-words .said-word")).Text == "Zoë", "the newer one counts");
        App.NoComplaints(browser);
        browser.ExecuteScript(twice, "/nowhere-at-all");
        App.Until(() => App.Complaints(browser).Count > 0, "what fails is complained of");
    }

    [Fact]
    public void A_late_piece_is_made_to_fit_with_one_click_and_tonight_leads_to_the_bench()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString("Fridolin Mooshammer on a tea towel in 2 days")}"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
        var id = browser.FindElement(By.Id("bench")).GetAttribute("data-piece");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/"));
        var late = By.CssSelector($"section.late[aria-labelledby='late-{id}']");
        var ways = By.CssSelector($"section.late[aria-labelledby='late-{id}'] button");
        App.Until(() => browser.FindElements(ways).Count > 0, "ways to make it fit have been looked for");
        Assert.InRange(browser.FindElements(ways).Count, 2, 3);
        App.Until(
            () =>
            {
                browser.FindElement(late).FindElement(By.CssSelector("button[value=later]")).Click();
                return true;
            },
            "a later day is taken");
        App.Until(() => browser.FindElements(late).Count == 0 && browser.FindElement(By.Id("tonight")).Displayed, "it is no longer late");
        App.Click(browser, By.CssSelector("#tonight a"));
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "tonight's piece is on the bench");
    }

    /// <summary>From the proof to a printer that prints too small, and to a sheet that is true.</summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void The_words_are_proofed_the_sheet_is_measured_and_corrected(bool scripts)
    {
        using var browser = app.Browser(scripts: scripts);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString("Yarrow on a napkin")}"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("to-sheets")).Displayed, "the bench is there");
        App.Click(browser, By.Id("to-sheets"));
        App.Until(() => browser.FindElements(By.CssSelector(".letters li")).Count == 6, "the letters are read back");
        Assert.Empty(browser.FindElements(By.CssSelector(".leaf, #pdf")));
        browser.FindElement(By.Id("who")).SendKeys("Ada");
        App.Click(browser, By.Id("proofed"));
        App.Until(() => browser.FindElement(By.CssSelector(".leaf")).Displayed, "the template is shown");
        foreach (var kind in new[] { "placement", "work", "care", "tag", "template" })
        {
            App.Click(browser, By.CssSelector($".sheet-kinds a[href$='kind={kind}']"));
            App.Until(() => browser.FindElement(By.CssSelector($".sheet-kinds a[href$='kind={kind}']")).GetAttribute(
                "aria-current") == "true" && browser.FindElement(By.CssSelector(".leaf")).Displayed, $"the sheet '{kind}' is shown");
        }

        App.Click(browser, By.CssSelector(".stand-in summary"));
        var percent = browser.FindElement(By.Name("percent"));
        percent.Clear();
        percent.SendKeys("97" + Keys.Enter);
        App.Until(() => browser.FindElement(By.Name("percent")).GetAttribute("value") == "97", "the printer prints too small");
        App.Click(browser, By.CssSelector(".stand-in summary"));
        App.Click(browser, By.Id("stand-in-print"));
        App.Until(() => browser.FindElements(By.Name("measured")).Count == 1, "a sheet went out");
        browser.FindElement(By.Name("measured")).SendKeys("97 mm" + Keys.Enter);
        App.Until(() => browser.FindElements(By.CssSelector(".printed .void")).Count == 1, "the sheet is void");
        Assert.Contains("too small", browser.FindElement(By.CssSelector(".told-back")).Text, StringComparison.Ordinal);
        App.Click(browser, By.CssSelector(".stand-in summary"));
        App.Click(browser, By.Id("stand-in-print"));
        App.Until(() => browser.FindElement(By.CssSelector(".printed li:not(.void)")).Text.Contains("corrected to 103.09 %",
            StringComparison.Ordinal), "the next sheet makes up for it");
        browser.FindElement(By.Name("measured")).SendKeys("100" + Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".printed li:not(.void)")).Text.Contains("true", StringComparison.Ordinal),
            "it is true");
        App.Click(browser, By.CssSelector(".printed form button[name=name]"));
        App.Until(() => browser.FindElements(By.CssSelector(".printed form button[name=name]")).Count == 0, "the printer is as new");
    }

    [Fact]
    public void A_habit_is_kept_by_a_click_and_says_what_it_did()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/habits"));
        App.Click(browser, By.CssSelector("#habit-strand-use a"));
        App.Until(() => browser.FindElement(By.CssSelector("#habit-strand-use .tried")).Text.Contains("come out otherwise",
            StringComparison.Ordinal), "it is tried on her pieces");
        App.Click(browser, By.CssSelector("#habit-press input[value=no-press]"));
        App.Until(() => browser.FindElement(By.Id("kept")).Text.Contains("do not press", StringComparison.Ordinal), "it says what it did");
        App.Click(browser, By.CssSelector("#kept button"));
        App.Until(() => browser.FindElement(By.CssSelector("#habit-press input[value=face-down-steam]")).Selected, "one step back");
        App.NoComplaints(browser);
    }

    [Fact]
    public void With_scripts_off_a_saying_a_habit_and_the_workshop_work_too()
    {
        using var browser = app.Browser(scripts: false);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new"));
        browser.FindElement(By.Id("said")).SendKeys("Anise on a tote for Friday" + Keys.Enter);
        App.Until(() => browser.FindElement(By.TagName("h1")).Text.Contains("Anise, on a tote", StringComparison.Ordinal),
            "the plan is there");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/habits"));
        App.Click(browser, By.CssSelector("#habit-hand input[value=left]"));
        App.Click(browser, By.CssSelector("#habit-hand button"));
        App.Until(() => browser.FindElement(By.Id("kept")).Displayed, "it is kept");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/workshop"));
        Assert.True(browser.FindElement(By.CssSelector("input[name=hand][value=left]")).Selected);
        App.Click(browser, By.CssSelector("input[name=units][value=inches]"));
        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElement(By.Id("kept")).Displayed, "the workshop is kept");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/bench/10"));
        Assert.Contains("2 3/4 in", browser.FindElement(By.Id("slip-space-place")).Text, StringComparison.Ordinal);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/workshop"));
        App.Click(browser, By.CssSelector("form[action$='handler=Undo'] button"));
        App.Until(() => browser.FindElement(By.CssSelector("input[name=units][value=centimetres]")).Selected, "one step back");
    }
}
