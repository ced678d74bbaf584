using OpenQA.Selenium;

namespace Dittany.Browser.Tests;

/// <summary>
/// Words and motifs in a real browser: another hand, an arrangement, a motif, a remedy taken with one click, the view from a metre.
/// </summary>
public sealed class LettersFlowTests(App app) : IClassFixture<App>
{
    [Fact]
    public void Another_hand_a_motif_and_a_remedy()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/bench/10?Station=words"));
        browser.ExecuteScript("document.getElementById('to-letters').click()");
        App.Until(() => browser.FindElements(By.CssSelector("img.specimen")).Count > 18, "the words stand in every hand");
        App.Until(() => browser.ExecuteScript(
            "const i = document.querySelector('#hand-joined-hand img'); return i.complete && i.naturalWidth > 0") is true,
            "the joined hand is drawn");
        browser.ExecuteScript("document.querySelector('#hand-joined-hand button').click()");
        App.Until(() => browser.FindElement(By.Id("slip-words-alphabet")).Text.Contains("Joined hand", StringComparison.Ordinal),
            "the bench writes it joined");

        // Laid out on an arc from its slip, by htmx.
        browser.ExecuteScript(
            "document.querySelector('#slip-words-arrangement details').open = true; document.querySelector('#slip-words-arrangement "
                + "button[value=arc]').click()");
        App.Until(() => browser.FindElement(By.Id("slip-words-arrangement")).Text.Contains("Along an arc", StringComparison.Ordinal),
            "the words stand on an arc");

        // A heart after the words, from the page of motifs.
        browser.ExecuteScript("document.getElementById('to-motifs').click()");
        App.Until(() => browser.FindElements(By.CssSelector(".motif-shelf li")).Count >= 36, "the motifs are there");
        browser.ExecuteScript("document.querySelector(\".motif-shelf a[href*='Motif=heart&']\").click()");
        App.Until(() => browser.FindElement(By.Id("put")).Displayed, "the heart is looked at");
        App.Click(browser, By.CssSelector("button[name=with][value=after]"));
        App.Until(() => browser.FindElement(By.Id("slip-words-motif")).Text.Contains("Heart", StringComparison.Ordinal),
            "the heart goes with the words");

        // Too small to read: a concern with remedies, and one click cures it.
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/bench/1?Station=words"));
        var concerns = browser.FindElements(By.CssSelector("article.slip.warn h3")).Count;
        Assert.True(concerns > 0);
        browser.ExecuteScript("document.querySelector('article.slip.warn button').click()");
        App.Until(() => browser.FindElements(By.CssSelector("article.slip.warn h3")).Count < concerns, "the remedy took its concern away");

        // The view from a metre: blurred, without tapes.
        browser.FindElement(By.TagName("body")).SendKeys("v");
        App.Until(() => browser.ExecuteScript(
            "return getComputedStyle(document.querySelector('.turns')).filter !== 'none' && "
                + "getComputedStyle(document.querySelector('.tape')).display === 'none'") is true, "it is seen from a metre");
    }
}
