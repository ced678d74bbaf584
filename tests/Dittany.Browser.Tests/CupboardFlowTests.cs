using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Interactions;

namespace Dittany.Browser.Tests;

/// <summary>The cupboard in a real browser: searching, measuring, photographing, tracing, placing; with scripts and without.</summary>
public sealed class CupboardFlowTests(App app) : IClassFixture<App>
{
    [Fact]
    public void The_cupboard_is_searched_while_typing_and_a_form_is_scaled_to_hers()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/cupboard"));
        Assert.True(browser.FindElements(By.CssSelector(".on-shelf li")).Count >= 30);
        browser.FindElement(By.Id("q")).SendKeys("pocket");
        App.Until(() => browser.FindElements(By.CssSelector(".on-shelf li")).Count is > 0 and < 8, "only things with a pocket are left");
        Assert.Contains(browser.FindElements(By.CssSelector(".on-shelf strong")), e => e.Text == "Backpack");
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/cupboard/form/t-shirt-adult"));
        browser.FindElement(By.Id("width")).SendKeys("51.2" + Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".scale-form")).Text.Contains("51.2 cm", StringComparison.Ordinal)
            || browser.FindElement(By.CssSelector(".scale-form")).Text.Contains("512 mm", StringComparison.Ordinal),
            "it is scaled to 51.2 cm");
        App.Click(browser, By.Id("take"));
        App.Until(() => browser.FindElement(By.CssSelector("input[name=Form][value=t-shirt-adult]")).Selected,
            "the form is picked for a new piece");
        browser.FindElement(By.Id("words")).SendKeys("Mia");
        App.Until(() => browser.FindElement(By.Id("glimpse")).Text.Contains("Mia, on a T-shirt", StringComparison.Ordinal),
            "the plan shows itself");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("slip-item-size")).GetAttribute("textContent")!.Contains(
            "You measured chest laid flat 51.2 cm", StringComparison.Ordinal), "the plan is of her own size");
        Complaints(browser);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void An_item_is_measured_given_a_button_and_taken_for_a_piece(bool scripts)
    {
        using var browser = app.Browser(scripts: scripts);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/cupboard/measure?Shape=tube"));
        browser.FindElement(By.Id("n-width")).SendKeys("14");
        browser.FindElement(By.Id("n-height")).SendKeys("22");
        browser.FindElement(By.Id("n-body")).SendKeys("12");
        browser.FindElement(By.Id("name")).SendKeys(scripts ? "Jersey leg" : "Linen leg");
        if (scripts)
        {
            App.Until(() => browser.FindElement(By.Id("measured")).Text.Contains("cannot belong to something", StringComparison.Ordinal),
                "an impossible tube is told of while she types");
        }

        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElement(By.CssSelector(".trouble")).Text.Contains("cannot belong to something",
            StringComparison.Ordinal), "it is refused");
        Assert.Equal("14", browser.FindElement(By.Id("n-width")).GetAttribute("value"));
        browser.FindElement(By.Id("n-body")).Clear();
        browser.FindElement(By.Id("n-body")).SendKeys("44");
        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElement(By.Id("own-form")).Displayed, "it is kept");

        // One thing in the way, placed by writing its rectangle.
        App.Click(browser, By.Id("more-obstacle"));
        App.Until(() => browser.FindElements(By.CssSelector("select[name='Obstacles[0].Kind']")).Count == 1, "one more thing in the way");
        App.Click(browser, By.CssSelector("select[name='Obstacles[0].Kind'] option[value=button-edge]"));
        var points = browser.FindElement(By.Name("Obstacles[0].Points"));
        points.Clear();
        points.SendKeys("60 40 12 12");
        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElements(By.Id("kept")).Count == 1, "it is kept with its button");

        // A back, folded over; what is typed on it is kept when the front is looked at again.
        App.Click(browser, By.Id("more-side"));
        App.Until(() => browser.FindElement(By.CssSelector(".side[aria-current]")).Text == "Back", "there is a back");
        App.Click(browser, By.CssSelector("#folded option[value=top]"));
        if (scripts)
        {
            App.Until(() => browser.FindElement(By.Id("traced")).Text.Contains("fold at the top", StringComparison.Ordinal),
                "how it lies is told while she chooses");
        }

        browser.FindElements(By.CssSelector(".side"))[0].Click();
        App.Until(() => browser.FindElement(By.CssSelector(".side[aria-current]")).Text == "Front", "the front is looked at again");
        browser.FindElements(By.CssSelector(".side"))[1].Click();
        App.Until(() => browser.FindElements(By.CssSelector(".folded")).Count == 1, "the fold was kept");
        browser.FindElements(By.CssSelector(".side"))[0].Click();
        App.Until(() => browser.FindElement(By.CssSelector(".side[aria-current]")).Text == "Front", "and the front again");
        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElements(By.Id("kept")).Count == 1, "it is kept once more");
        App.Click(browser, By.CssSelector("#kept a"));
        App.Until(() => browser.FindElement(By.Id("words")).Displayed, "a new piece begins");
        browser.FindElement(By.Id("words")).SendKeys("Jo");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
        Assert.Contains("Part 1: stitches keep 10 mm clear",
            string.Concat(browser.FindElements(By.CssSelector("#station-space")).Select(e => e.GetAttribute("textContent"))),
            StringComparison.Ordinal);
        if (scripts)
        {
            Complaints(browser);
        }
    }

    /// <summary>
    /// Four clicks at the card, straightened, traced by dragging and by arrow keys, and the bench shows the very picture.
    /// </summary>
    [Fact]
    public void An_item_is_photographed_traced_and_lies_on_the_bench()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/cupboard/photograph"));
        App.Click(browser, By.Id("scene-bag-card"));
        App.Until(() => browser.ExecuteScript(
            "const p = document.getElementById('photo'); return p && p.complete !== false && document.readyState === 'complete'") is true,
            "the picture is there");
        var scene = Formats.Pictures.MadeUpCamera.All.Single(s => s.Id == "bag-card");
        foreach (var corner in Formats.Pictures.MadeUpCamera.CornersOf(scene))
        {
            var k = 900.0 / scene.Pose.WidthPx;
            browser.ExecuteScript(
                "const p = document.getElementById('photo'); p.scrollIntoView(); const b = p.getBoundingClientRect(); p.dispatchEvent(new "
                    + "MouseEvent('click', { bubbles: true, cancelable: true, detail: 1, clientX: b.left + arguments[0], clientY: b.top + "
                    + "arguments[1] }));", (corner.X * k) + 0.8, (corner.Y * k) - 0.7);
        }

        Assert.Equal(4, browser.FindElements(By.CssSelector(".pins g")).Count);
        Assert.Contains("Straighten it", browser.FindElement(By.TagName("h1")).Text, StringComparison.Ordinal);
        App.Click(browser, By.Id("straighten"));
        App.Until(() => browser.FindElements(By.Id("trace")).Count == 1, "the picture is straightened");
        App.Until(() => browser.FindElement(By.CssSelector(".worth")).Text.Contains("edges of a bank card were found",
            StringComparison.Ordinal), "the card's edges were found");
        App.Click(browser, By.Id("trace"));
        App.Until(() => browser.FindElements(By.CssSelector(".handle")).Count == 4, "its outline can be pulled");

        // One corner by mouse, one by keys.
        var before = browser.FindElement(By.Name("Outline")).GetAttribute("value")!.Split('\n');
        new Actions(browser).DragAndDropToOffset(browser.FindElement(By.CssSelector(".handle[data-i='0']")), 24, 12).Perform();
        App.Until(() => browser.FindElement(By.Name("Outline")).GetAttribute("value")!.Split('\n')[0] != before[0],
            "the corner went along");
        browser.ExecuteScript("document.querySelector(\".handle[data-i='2']\").focus()");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Shift + Keys.ArrowLeft);
        App.Until(() => Math.Abs(Number(browser, 2) - (Number(before[2]) - 5)) < 0.2, "five millimetres by the keyboard");
        App.Until(() => browser.SwitchTo().ActiveElement().GetAttribute("data-i") == "2", "the point keeps the focus");
        var name = browser.FindElement(By.Id("name"));
        name.Clear();
        name.SendKeys("Bag of the browser");
        App.Click(browser, By.Id("keep"));
        App.Until(() => browser.FindElements(By.Id("kept")).Count == 1, "it is kept");
        App.Click(browser, By.CssSelector("#kept a"));
        App.Until(() => browser.FindElement(By.Id("words")).Displayed, "a new piece begins");
        browser.FindElement(By.Id("words")).SendKeys("Jo");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.CssSelector("#drawing image")).GetAttribute("href")!.Contains("/pictures/",
            StringComparison.Ordinal), "the bench shows the picture");
        Complaints(browser);
    }

    /// <summary>A photograph without scripts: the picture itself is the button.</summary>
    [Fact]
    public void Corners_are_pointed_at_without_scripts()
    {
        using var browser = app.Browser(width: 1400, height: 1000, scripts: false);
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/cupboard/photograph"));
        App.Click(browser, By.Id("scene-bag-steep"));
        var scene = Formats.Pictures.MadeUpCamera.All.Single(s => s.Id == "bag-steep");
        var set = 0;
        foreach (var corner in Formats.Pictures.MadeUpCamera.CornersOf(scene))
        {
            App.Until(() => browser.FindElement(By.Id("photo")).Displayed && browser.FindElements(By.CssSelector(".pins g")).Count == set,
                $"{set} corners are set");
            var photo = browser.FindElement(By.Id("photo"));
            var k = 900.0 / scene.Pose.WidthPx;
            new Actions(browser).MoveToElement(photo, (int)Math.Round((corner.X * k) - (photo.Size.Width / 2.0)),
                (int)Math.Round((corner.Y * k) - (photo.Size.Height / 2.0))).Click().Perform();
            set++;
        }

        App.Until(() => browser.FindElements(By.CssSelector(".pins g")).Count == 4, "four corners are set");
        App.Click(browser, By.Id("straighten"));
        App.Until(() =>
        {
            if (browser.FindElements(By.Id("trace")).Count == 1)
            {
                return true;
            }

            browser.Navigate().Refresh();
            return false;
        }, "the picture is straightened");
        Assert.Contains("square on", browser.FindElement(By.CssSelector(".photo-page")).Text, StringComparison.Ordinal);
        Assert.Contains("Not good enough", browser.FindElement(By.CssSelector(".worth")).Text, StringComparison.Ordinal);
    }

    /// <summary>On a face of its own kind words are dragged and snap; outside, the bench says by how many millimetres.</summary>
    [Fact]
    public void Words_are_placed_on_a_cuff_and_told_when_they_leave_it()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?form=christmas-stocking"));
        browser.FindElement(By.Id("words")).SendKeys("Ilse");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
        Assert.Contains("folded", browser.FindElement(By.Id("slip-space-fold")).GetAttribute("textContent"), StringComparison.Ordinal);
        App.Click(browser, By.CssSelector(".face-link[data-face=marks]"));
        App.Until(() => browser.FindElement(By.CssSelector(".laid-flat")).Displayed, "the cuff is seen laid flat");
        for (var i = 0; i < 8; i++)
        {
            App.Press(browser, By.Id("drawing"), Keys.Shift + Keys.ArrowDown);
        }

        App.Until(() => browser.FindElements(By.CssSelector(".slip.warn")).Any(e =>
            e.GetAttribute("textContent")!.Contains("beyond the room", StringComparison.Ordinal)), "it is told by how much they leave");
        Complaints(browser);
    }

    private static double Number(string line) => double.Parse(line.Split(',')[0], System.Globalization.CultureInfo.InvariantCulture);

    private static double Number(ChromeDriver browser, int line) =>
        Number(browser.FindElement(By.Name("Outline")).GetAttribute("value")!.Split('\n')[line]);

    /// <summary>The browser's log holds no errors; a drawing asked for and overtaken by the next is none.</summary>
    private static void Complaints(ChromeDriver browser) => Assert.DoesNotContain(
        browser.Manage().Logs.GetLog(LogType.Browser),
        l => l.Level == LogLevel.Severe && !l.Message.Contains("422", StringComparison.Ordinal)
            && !l.Message.Contains("htmx:sendAbort", StringComparison.Ordinal)
            && !l.Message.Contains("htmx:afterRequest", StringComparison.Ordinal));
}
