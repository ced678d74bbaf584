using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>A maker at the bench, in a real browser.</summary>
public sealed class BenchFlowTests(App app) : IClassFixture<App>
{
    [Fact]
    public void Three_answers_give_a_plan_that_is_overruled_and_undone_without_a_reload()
    {
        using var browser = app.Browser();
        Make(browser, "Marigold");
        Assert.Contains("Marigold, on a tea towel", browser.FindElement(By.TagName("h1")).Text, StringComparison.Ordinal);

        // Were the page loaded anew, this mark would be gone.
        browser.ExecuteScript("window.stillHere = true");
        browser.FindElement(By.TagName("body")).SendKeys("4");
        var slip = By.Id("slip-transfer-method");
        App.Until(() => browser.FindElement(slip).Displayed, "the slips of the fourth station are shown");
        browser.ExecuteScript(
            "document.querySelector('#slip-transfer-method details').open = true; document.querySelector('#slip-transfer-method "
                + "button[value=hot-iron]').click()");
        App.Until(() => browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal),
            "the slip says that it was her choice");
        Assert.Contains("printed mirrored", browser.FindElement(slip).Text, StringComparison.Ordinal);
        App.Until(() => browser.ExecuteScript("return document.querySelector('#slip-transfer-method details').open") is true,
            "the slip is still open");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);

        browser.FindElement(By.TagName("body")).SendKeys("z");
        App.Until(() => !browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal), "undo takes it back");
        App.Click(browser, By.Id("redo"));
        App.Until(() => browser.FindElement(slip).Text.Contains("your choice", StringComparison.Ordinal), "redo brings it again");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);
        App.NoComplaints(browser);
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
        App.Until(() => browser.FindElement(By.CssSelector(".proof")).GetAttribute("textContent")!.Contains("capital R · u · e",
            StringComparison.Ordinal), "the new words are planned");

        var before = Told(browser);
        App.Press(browser, By.Id("drawing"), "-");
        App.Until(() => Told(browser) != before, "the minus key makes the capitals lower");

        // Three presses of an arrow are one step back.
        App.Press(browser, By.Id("drawing"), Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight);
        App.Until(() => browser.PageSource.Contains("3 mm to the right of the dot", StringComparison.Ordinal),
            "three arrows move the words by 3 mm");
        App.Click(browser, By.Id("undo"));
        App.Until(() => !browser.PageSource.Contains("mm to the right of the dot", StringComparison.Ordinal),
            "one undo takes all three back");

        browser.ExecuteScript(
            "document.querySelector('#slip-thread-strands details').open = true; document.querySelector('#slip-thread-strands details "
                + "button[name=value]').click()");
        App.Until(() => browser.FindElement(By.Id("slip-thread-strands")).GetAttribute("textContent")!.Contains("your choice",
            StringComparison.Ordinal), "the strands are hers");
        Assert.True(browser.ExecuteScript("return window.stillHere === true") is true);
        App.NoComplaints(browser);
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
        App.Click(browser, By.Id("smaller"));
        App.Until(() => browser.FindElements(By.CssSelector("#slip-words-size .yours")).Count == 1, "the size has changed");
        Assert.True(browser.FindElement(By.CssSelector(".face-marks .mark")).Displayed);
        App.Click(browser, By.Id("view-close"));
        App.Until(() => browser.FindElement(By.Id("view-close")).GetAttribute("aria-current") == "true", "the view is close");
        App.NoComplaints(browser);
    }

    [Fact]
    public void Words_that_cannot_be_written_are_told_and_kept()
    {
        using var browser = app.Browser();
        Make(browser, "Yarrow");
        var words = browser.FindElement(By.Id("words"));
        words.Clear();
        words.SendKeys("家" + Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".trouble")).Text.Contains('家', StringComparison.Ordinal),
            "the letter is named");
        Assert.Equal("家", browser.FindElement(By.Id("words")).GetAttribute("value"));
    }

    [Fact]
    public void With_scripts_off_everything_still_works()
    {
        using var browser = app.Browser(scripts: false);
        Make(browser, "Comfrey");
        Assert.True(browser.FindElement(By.Id("slip-transfer-method")).Displayed);
        App.Click(browser, By.CssSelector("#slip-transfer-method .instead summary"));
        App.Click(browser, By.CssSelector("#slip-transfer-method button[value=hot-iron]"));
        App.Until(() => browser.FindElement(By.Id("slip-transfer-method")).Text.Contains("your choice", StringComparison.Ordinal),
            "the overrule stands");
        App.Click(browser, By.Id("undo"));
        App.Until(() => !browser.FindElement(By.Id("slip-transfer-method")).Text.Contains("your choice", StringComparison.Ordinal),
            "it is undone");
        App.Click(browser, By.Id("move-right"));
        App.Until(() => browser.PageSource.Contains("1 mm to the right of the dot", StringComparison.Ordinal), "the words have moved");
        App.Click(browser, By.CssSelector("button[name=line][value=centre-fold]"));
        App.Until(() => !browser.PageSource.Contains("to the right of the dot", StringComparison.Ordinal), "the words lie on the fold");
        foreach (var (face, shown) in new[] { ("marks", ".face-marks .mark"), ("hoops", ".face-hoops circle"),
            ("back", ".face-back .behind"), ("order", ".face-order .st") })
        {
            App.Click(browser, By.CssSelector($".face-link[data-face={face}]"));
            App.Until(() => browser.FindElement(By.CssSelector(shown)).Displayed, $"the face '{face}' is shown");
        }

        App.Click(browser, By.CssSelector(".runs a"));
        App.Until(() => browser.FindElements(By.CssSelector(".st.yet")).Count > 0, "the piece is worked up to the end of the first length");
    }

    /// <summary>
    /// A large piece has one face at a time; the one that works it is painted, up to the stitch the slider is at, and nearer too.
    /// </summary>
    [Fact]
    public void A_large_piece_is_painted()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString("a field of 60 sunflowers on a tablecloth")}"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElements(By.CssSelector("#bench[data-large=true]")).Count > 0, "it is a large piece");
        Assert.Empty(browser.FindElements(By.CssSelector("#drawing .st")));
        App.Click(browser, By.CssSelector(".face-link[data-face=order]"));
        string Painted() => (string?)browser.ExecuteScript("return document.querySelector('.bench-frame.painted')?.dataset.painted ?? ''") ?? string.Empty;
        var all = browser.FindElement(By.Id("order-at")).GetAttribute("max")!;
        App.Until(() => Painted() == all, "all of it is painted");
        long Ink() => Convert.ToInt64(browser.ExecuteScript(
            "const c = document.getElementById('worked'); const o = document.createElement('canvas'); o.width = c.width; o.height = c.height; const b = o.getContext('2d', { willReadFrequently: true }); b.drawImage(c, 0, 0); const d = b.getImageData(0, 0, c.width, c.height).data; let n = 0; for (let i = 3; i < d.length; i += 4) { n += d[i] > 200 ? 1 : 0; } return n"),
            System.Globalization.CultureInfo.InvariantCulture);
        var whole = Ink();
        Assert.True(whole > 500);
        browser.ExecuteScript("const s = document.getElementById('order-at'); s.value = 100; s.dispatchEvent(new Event('input', { bubbles: true }))");
        App.Until(() => Painted() == "100", "it is painted up to the hundredth");
        Assert.True(Ink() < whole / 4);
        Assert.StartsWith("Stitch 100", browser.FindElement(By.Id("readout")).Text, StringComparison.Ordinal);
        App.NoComplaints(browser);
    }

    /// <summary>
    /// With Shift one paper shape of a row is pushed: that flower goes where it is let go, and the others are spaced anew.
    /// </summary>
    [Fact]
    public void A_paper_shape_is_pushed()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString("a row of five daisies on a tea towel")}"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElements(By.CssSelector("#drawing .paper")).Count == 5, "there is a paper shape of each");
        double[] Middles() => ((IEnumerable<object>)browser.ExecuteScript(
            "return [...document.querySelectorAll('#drawing .paper')].map((p) => { const b = p.getBBox(); return b.x + b.width / 2; })")!)
            .Select(m => Convert.ToDouble(m, System.Globalization.CultureInfo.InvariantCulture)).ToArray();
        var was = Middles();
        var at = (IDictionary<string, object>)browser.ExecuteScript(
            "const b = document.querySelectorAll('#drawing .paper')[1].getBoundingClientRect(); return { x: b.x + b.width / 2, y: b.y + b.height / 2 }")!;
        var by = (int)PixelsOf(browser, 5);
        new OpenQA.Selenium.Interactions.Actions(browser).MoveToLocation(Convert.ToInt32(at["x"], System.Globalization.CultureInfo.InvariantCulture),
                Convert.ToInt32(at["y"], System.Globalization.CultureInfo.InvariantCulture))
            .KeyDown(Keys.Shift).ClickAndHold().MoveByOffset(by / 2, 0).MoveByOffset(by - (by / 2), 0).Release().KeyUp(Keys.Shift)
                .Perform();
        App.Until(() => Math.Abs(Middles()[1] - was[1]) > 3, "the second went along");
        var now = Middles();
        Assert.InRange((now[3] - now[2]) - (now[4] - now[3]), -0.1, 0.1);
        Assert.True(now[2] - now[1] < was[2] - was[1]);
        App.NoComplaints(browser);
    }

    /// <summary>Dragged near the fold and let go, the words lie on it: a towel 500 mm wide has it at 250.</summary>
    [Fact]
    public void Words_are_dragged_and_pulled_onto_the_fold()
    {
        using var browser = app.Browser();
        Make(browser, "Lovage");
        App.Press(browser, By.Id("drawing"), Keys.Shift + Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight + Keys.ArrowRight);
        App.Until(() => browser.PageSource.Contains("20 mm to the right of the dot", StringComparison.Ordinal),
            "the words stand 20 mm aside");

        // 20 mm to the left, less five pixels: near enough to be pulled.
        Drag(browser, PixelsOf(browser, -20) + 5, 0);
        App.Until(() => !browser.PageSource.Contains("to the right of the dot", StringComparison.Ordinal)
            && browser.PageSource.Contains("on the middle line", StringComparison.Ordinal), "the words lie on the fold");
        Drag(browser, PixelsOf(browser, 30), PixelsOf(browser, -12));
        App.Until(() => browser.PageSource.Contains("30 mm to the right of the dot", StringComparison.Ordinal)
            || browser.PageSource.Contains("30.", StringComparison.Ordinal), "further off they stay where they were put");
        browser.FindElement(By.TagName("body")).SendKeys("z");
        App.Until(() => !browser.PageSource.Contains("to the right of the dot", StringComparison.Ordinal), "one drag is one step back");
        App.NoComplaints(browser);
    }

    /// <summary>Pointing tells of a stitch, a hem and the field; the slider and the bracket keys work the piece.</summary>
    [Fact]
    public void What_is_pointed_at_tells_of_itself_and_the_piece_is_worked_stitch_by_stitch()
    {
        using var browser = app.Browser();
        Make(browser, "Sage");
        string Readout() => browser.FindElement(By.Id("readout")).Text;
        new OpenQA.Selenium.Interactions.Actions(browser).MoveToElement(browser.FindElement(By.CssSelector(".st[data-i='3']"))).Perform();
        App.Until(() => Readout().StartsWith("Stitch ", StringComparison.Ordinal)
            && Readout().Contains("thread", StringComparison.Ordinal), "the stitch tells of itself");
        browser.ExecuteScript(
            "document.querySelector('.obstacle path:last-child').dispatchEvent(new PointerEvent('pointerover', { bubbles: true }))");
        App.Until(() => Readout().Contains("clear of it", StringComparison.Ordinal), "the hem tells its clearance");
        browser.ExecuteScript("document.querySelector('.field path').dispatchEvent(new PointerEvent('pointerover', { bubbles: true }))");
        App.Until(() => Readout().StartsWith("The field", StringComparison.Ordinal), "the field tells of itself");

        new OpenQA.Selenium.Interactions.Actions(browser).MoveToElement(browser.FindElement(By.TagName("h1"))).Perform();
        var body = browser.FindElement(By.TagName("body"));
        body.SendKeys("o");
        var all = browser.FindElements(By.CssSelector(".st")).Count;
        App.Until(() => Readout().StartsWith($"Stitch {all} of {all}", StringComparison.Ordinal), "the piece is worked to its end");
        body.SendKeys("[[");
        App.Until(() => Readout().StartsWith($"Stitch {all - 2} of", StringComparison.Ordinal)
            && browser.FindElements(By.CssSelector(".st.yet")).Count == 2, "two stitches are taken back");
        body.SendKeys("]");
        App.Until(() => browser.FindElements(By.CssSelector(".st.yet")).Count == 1, "one is made again");
        browser.ExecuteScript(
            "const at = document.getElementById('order-at'); at.value = 1; at.dispatchEvent(new Event('input', { bubbles: true }))");
        App.Until(() => Readout().StartsWith("Stitch 1 of", StringComparison.Ordinal)
            && Readout().Contains("A new thread begins here", StringComparison.Ordinal), "the slider goes to the first stitch");
        App.NoComplaints(browser);
    }

    /// <summary>
    /// A click on a stitch opens the form of its part, and what is set there is seen; a direction turns before it is sent.
    /// </summary>
    [Fact]
    public void A_stitch_that_is_clicked_opens_its_part()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new"));
        browser.FindElement(By.Id("said")).SendKeys("a songbird on a tote");
        App.Until(() => browser.ExecuteScript("return document.getElementById('motif')?.value === 'songbird'") is true,
            "the saying is understood");
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElements(By.Id("bench")).Count > 0, "the bench is there");
        var row = browser.ExecuteScript("return document.getElementById('tellings').textContent.split('\\n').findIndex(t => t.includes(' in the body'))");
        var stitch = browser.FindElement(By.CssSelector($".st[data-i='{row}']"));
        new OpenQA.Selenium.Interactions.Actions(browser).MoveToElement(stitch).Click().Perform();
        App.Until(() => browser.FindElements(By.CssSelector("details.part[open]")).Count == 1, "one part is open");
        App.Until(() => browser.FindElement(By.Id("slip-parts")).Displayed, "its station is shown");
        var open = browser.FindElement(By.CssSelector("details.part[open]"));
        Assert.Contains("under thread", open.FindElement(By.TagName("summary")).Text, StringComparison.Ordinal);
        browser.ExecuteScript("const d = document.querySelector('details.part[open] input[type=range]'); d.value = 40;"
            + "d.dispatchEvent(new Event('input', { bubbles: true }))");
        Assert.Equal("rotate(40)", open.FindElement(By.CssSelector(".lie g")).GetAttribute("transform"));
        Assert.Equal("one-way", open.FindElement(By.Name("lies")).GetAttribute("value"));
        browser.ExecuteScript("document.querySelector('details.part[open] button:not([type=button])').scrollIntoView({ block: 'center' })");
        open.FindElement(By.CssSelector("button:not([type=button])")).Click();
        App.Until(() => browser.FindElements(By.CssSelector("details.part .yours")).Count == 1, "the wish is kept");
        App.NoComplaints(browser);
    }

    /// <summary>
    /// A line is drawn over a part with the mouse, and its stitches lie along it; a dot of it is moved with the arrow keys, and the line is
    /// taken away again.
    /// </summary>
    [Fact]
    public void A_direction_is_drawn_over_a_part()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/new?said={Uri.EscapeDataString("a heart in long and short stitch on a tote")}"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElements(By.Id("bench")).Count > 0, "the bench is there");
        App.Click(browser, By.CssSelector(".thread a[data-station='stitches']"));
        App.Until(() => browser.FindElement(By.Id("slip-parts")).Displayed, "its station is shown");
        browser.ExecuteScript("document.getElementById('part-0').open = true; document.querySelector('#part-0 .lines').open = true;"
            + "document.querySelector('#part-0 .draw-line').scrollIntoView({ block: 'center' })");
        App.Click(browser, By.CssSelector("#part-0 .draw-line"));
        var cloth = browser.FindElement(By.CssSelector("#drawing .grab"));
        new OpenQA.Selenium.Interactions.Actions(browser).MoveToElement(cloth, -40, -30).ClickAndHold().MoveByOffset(30, 10)
            .MoveByOffset(30, 30).Release().Perform();
        App.Until(() => browser.FindElements(By.CssSelector(".lie-dot")).Count >= 2, "the line lies on the part");
        string Typed() => browser.FindElement(By.CssSelector("#part-0 textarea")).GetAttribute("value")!;
        var drawn = Typed();
        Assert.Contains("; ", drawn, StringComparison.Ordinal);
        Assert.DoesNotContain("\n", drawn, StringComparison.Ordinal);

        // It lies under the pointer that drew it.
        var began = (System.Collections.ObjectModel.ReadOnlyCollection<object>)browser.ExecuteScript(
            "const at = (e) => { const b = e.getBoundingClientRect(); return [b.left + b.width / 2, b.top + b.height / 2]; };"
                + "const g = at(document.querySelector('#drawing .grab')), d = at(document.getElementById('lie-0-0-0'));"
                + "return [d[0] - g[0], d[1] - g[1]];")!;
        Assert.InRange(Convert.ToDouble(began[0], System.Globalization.CultureInfo.InvariantCulture), -46, -34);
        Assert.InRange(Convert.ToDouble(began[1], System.Globalization.CultureInfo.InvariantCulture), -36, -24);
        var first = browser.FindElement(By.Id("bench")).GetAttribute("data-from");
        App.Press(browser, By.Id("lie-0-0-0"), Keys.ArrowLeft + Keys.ArrowLeft);
        App.Until(() => browser.FindElement(By.Id("bench")).GetAttribute("data-from") != first, "the moved line is kept");
        Assert.NotEqual(drawn, Typed());
        Assert.Equal("lie-0-0-0", browser.SwitchTo().ActiveElement().GetAttribute("id"));
        browser.ExecuteScript("document.querySelector('#part-0 .drop-line').scrollIntoView({ block: 'center' })");
        App.Click(browser, By.CssSelector("#part-0 .drop-line"));
        App.Until(() => browser.FindElements(By.CssSelector(".lie-dot")).Count == 0, "the line is gone");
        App.NoComplaints(browser);
    }

    /// <summary>No mouse: a piece is said, planned, overruled, worked and proofed with the keyboard alone.</summary>
    [Fact]
    public void Everything_goes_with_the_keyboard_alone()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri(app.Url + "/"));
        browser.FindElement(By.TagName("body")).SendKeys("n");
        App.Until(() => browser.SwitchTo().ActiveElement().GetAttribute("id") == "said", "the saying has the focus");
        browser.SwitchTo().ActiveElement().SendKeys("Chervil on a tea towel for Sunday week" + Keys.Enter);
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
        browser.FindElement(By.TagName("body")).SendKeys("6");
        App.Until(() => browser.FindElement(By.Id("slip-thread-strands")).Displayed, "the sixth station is shown");
        Tab(browser, "#slip-thread-strands summary");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
        Tab(browser, "#slip-thread-strands button[name=value]");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
        App.Until(() => browser.FindElement(By.Id("slip-thread-strands")).Text.Contains("your choice", StringComparison.Ordinal),
            "the strands are hers");
        browser.FindElement(By.TagName("body")).SendKeys("?");
        App.Until(() => browser.FindElement(By.Id("keys")).Displayed, "the keys are told");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
        browser.FindElement(By.TagName("body")).SendKeys("/");
        App.Until(() => browser.SwitchTo().ActiveElement().GetAttribute("id") == "find", "finding has the focus");
        browser.SwitchTo().ActiveElement().SendKeys("iron");
        App.Until(() => browser.FindElements(By.CssSelector("#found button")).Count > 0, "slips are found");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Tab + Keys.Enter);
        App.Until(() => !browser.FindElement(By.Id("keys")).Displayed, "it goes to the slip");
        browser.FindElement(By.TagName("body")).SendKeys("p");
        App.Until(() => browser.FindElement(By.Id("proofed")).Displayed, "the sheets ask for the proof");
        Tab(browser, "#proofed");
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
        App.Until(() => browser.FindElements(By.CssSelector(".leaf")).Count > 0, "the template is shown");
    }

    /// <summary>The connection goes: it is said, what was typed is still there, and once it is back the same change is taken.</summary>
    [Fact]
    public void A_lost_connection_is_said_and_nothing_is_lost()
    {
        using var browser = app.Browser();
        Make(browser, "Dill");
        App.Offline(browser, true);
        var words = browser.FindElement(By.Id("words"));
        words.Clear();
        words.SendKeys("Dill & Fennel" + Keys.Enter);
        App.Until(() => browser.FindElement(By.Id("offline")).Displayed, "it is said that the connection is gone");
        Assert.Equal("Dill & Fennel", browser.FindElement(By.Id("words")).GetAttribute("value"));
        Drag(browser, 60, 0);
        App.Until(() => string.IsNullOrEmpty(browser.FindElement(By.CssSelector(".words")).GetAttribute("transform")),
            "words that could not be moved go back");
        App.Offline(browser, false);
        browser.FindElement(By.Id("words")).SendKeys(Keys.Enter);
        App.Until(() => browser.FindElement(By.CssSelector(".proof")).GetAttribute("textContent")!.Contains("capital F",
            StringComparison.Ordinal), "the change is taken");
        App.Until(() => !browser.FindElement(By.Id("offline")).Displayed, "nothing is said any more");
    }

    /// <summary>Two tabs: changes to different things are both kept; of the same thing both values are shown, and she chooses.</summary>
    [Fact]
    public void Two_tabs_do_not_lose_each_others_changes_silently()
    {
        using var one = app.Browser();
        using var two = app.Browser();
        Make(one, "Bay");
        two.Navigate().GoToUrl(new Uri(one.Url));
        Say(one, "Bay leaf");
        App.Until(() => one.FindElement(By.CssSelector(".proof")).GetAttribute("textContent")!.Contains("capital B · a · y · space",
            StringComparison.Ordinal), "the first tab has its words");
        two.ExecuteScript("document.querySelector('#slip-transfer-method button[value=hot-iron]').click()");
        App.Until(() => two.FindElement(By.Id("slip-transfer-method")).GetAttribute("textContent")!.Contains("your choice",
            StringComparison.Ordinal), "the second tab's other change is taken");
        Assert.Equal("Bay leaf", two.FindElement(By.Id("words")).GetAttribute("value"));
        Say(two, "Bay rum");
        App.Until(() => two.FindElement(By.CssSelector(".proof")).GetAttribute("textContent")!.Contains("r · u · m",
            StringComparison.Ordinal), "the second tab has its words");
        Say(one, "Bay tree");
        App.Until(() => one.FindElements(By.CssSelector(".trouble")).Count > 0, "the first is told");
        Assert.Contains("Bay rum", one.FindElement(By.CssSelector(".trouble")).Text, StringComparison.Ordinal);
        Assert.Contains("Bay tree", one.FindElement(By.CssSelector(".trouble")).Text, StringComparison.Ordinal);
        one.FindElement(By.CssSelector(".trouble button")).Click();
        App.Until(() => one.FindElement(By.CssSelector(".proof")).GetAttribute("textContent")!.Contains("t · r · e · e",
            StringComparison.Ordinal), "hers is taken");

        static void Say(ChromeDriver browser, string words)
        {
            var field = browser.FindElement(By.Id("words"));
            field.Clear();
            field.SendKeys(words + Keys.Enter);
        }
    }

    /// <summary>On a phone the words are moved with a finger, and every button is large enough for one (24 px, WCAG 2.2, 2.5.8).</summary>
    [Theory]
    [InlineData(390, 844)]
    [InlineData(820, 1180)]
    public void On_phone_and_tablet_words_are_moved_with_a_finger(int width, int height)
    {
        using var browser = app.Browser(width, height);
        Make(browser, "Rosemary");
        browser.ExecuteScript("document.getElementById('drawing').scrollIntoView({ block: 'center' })");
        var at = Middle(browser);
        App.Touch(browser, at, (at.X + 40, at.Y));
        App.Until(() => browser.PageSource.Contains("to the right of the dot", StringComparison.Ordinal), "the words have moved");
        var small = (IReadOnlyCollection<object>?)browser.ExecuteScript(
            "return [...document.querySelectorAll('.bench button, .bench summary, .under a')].filter(b => b.offsetParent && "
                + "(b.getBoundingClientRect().height < 24 || b.getBoundingClientRect().width < 24)).map(b => b.outerHTML.slice(0, 80))");
        Assert.Empty(small!);
        Assert.InRange(Convert.ToInt32(browser.ExecuteScript("return document.documentElement.scrollWidth"),
            System.Globalization.CultureInfo.InvariantCulture), 1, width);
        browser.ExecuteScript("document.querySelector('.thread a[data-station=hoop]').click()");
        App.Until(() => browser.FindElement(By.Id("slip-hoop-size")).Displayed, "the hoop's slips are shown");
    }

    private static void Tab(ChromeDriver browser, string to)
    {
        for (var i = 0; i < 150; i++)
        {
            if (browser.ExecuteScript("return document.activeElement.matches(arguments[0])", to) is true)
            {
                return;
            }

            browser.SwitchTo().ActiveElement().SendKeys(Keys.Tab);
        }

        Assert.Fail($"The keyboard never came to {to}.");
    }

    /// <summary>The middle of the first letter's first stitch, in pixels of the window.</summary>
    private static (double X, double Y) Middle(ChromeDriver browser)
    {
        var at = (IReadOnlyList<object>)browser.ExecuteScript(
            "const p = document.querySelector('.st'); const m = p.getPointAtLength(p.getTotalLength() / "
                + "2).matrixTransform(p.getScreenCTM()); return [m.x, m.y]")!;
        return (Convert.ToDouble(at[0], System.Globalization.CultureInfo.InvariantCulture),
            Convert.ToDouble(at[1], System.Globalization.CultureInfo.InvariantCulture));
    }

    private static double PixelsOf(ChromeDriver browser, double mm) =>
        mm * Convert.ToDouble(browser.ExecuteScript("const s = document.querySelector('svg.drawing'); return s.getScreenCTM().a"),
            System.Globalization.CultureInfo.InvariantCulture);

    private static void Drag(ChromeDriver browser, double dx, double dy)
    {
        var (x, y) = Middle(browser);
        new OpenQA.Selenium.Interactions.Actions(browser)
            .MoveToLocation((int)x, (int)y).ClickAndHold().MoveByOffset((int)Math.Round(dx / 2),
                (int)Math.Round(dy / 2)).MoveByOffset((int)Math.Round(dx) - (int)Math.Round(dx / 2),
                (int)Math.Round(dy) - (int)Math.Round(dy / 2)).Release().Perform();
    }

    internal static void Make(ChromeDriver browser, string words, string url)
    {
        browser.Navigate().GoToUrl(new Uri($"{url}/new"));
        browser.FindElement(By.Id("words")).SendKeys(words);
        App.Click(browser, By.CssSelector("input[name=Form][value=tea-towel]"));
        App.Click(browser, By.Id("plan"));
        App.Until(() => browser.FindElement(By.Id("bench")).Displayed, "the bench is there");
    }

    private void Make(ChromeDriver browser, string words) => Make(browser, words, app.Url);

    private static string Told(ChromeDriver browser) => browser.FindElement(By.CssSelector(".grow-form .told")).Text;
}
