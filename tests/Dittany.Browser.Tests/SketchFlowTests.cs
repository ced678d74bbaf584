using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Formats.Pictures;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>A sketch traced by mouse and keyboard over its picture, held against the lines it was drawn from, and put on a piece.</summary>
public sealed class SketchFlowTests(App app) : IClassFixture<App>
{
    [Fact]
    public void A_sketch_is_traced_over_its_picture_and_stitched()
    {
        using var browser = app.Browser();
        browser.Navigate().GoToUrl(new Uri($"{app.Url}/motifs"));
        browser.ExecuteScript("document.getElementById('begin-tracing').click()");
        App.Until(() => browser.FindElement(By.Id("made-up-sketch")).Displayed, "a picture can be laid behind");
        App.Click(browser, By.Id("made-up-sketch"));
        App.Until(() => browser.FindElement(By.CssSelector("#sketch-frame svg image")).Displayed, "the sketch lies behind");

        // Every line of the sketch is drawn over, in one go; the eye is a knot.
        var truth = MadeUpSketch.Lines.Parts.ToArray();
        var lines = truth.Where(p => p.Kind != FigureKind.Dot).ToArray();
        for (var i = 0; i < lines.Length; i++)
        {
            Draw(browser, lines[i].Line);
            App.Until(() => browser.FindElements(By.CssSelector(".sketch-line")).Count == i + 1, $"line {i + 1} is kept");
        }

        browser.ExecuteScript(
            "const p = document.getElementById('pen'); p.value = 'dot'; p.dispatchEvent(new Event('change', { bubbles: true }))");
        var eye = truth.First(p => p.Kind == FigureKind.Dot).Middle;
        Draw(browser, [eye]);
        App.Until(() => browser.FindElements(By.CssSelector(".sketch-line")).Count == lines.Length + 1, "the eye is a knot");

        // What was traced lies on the sketch: within a millimetre, on a card of 148.
        var traced = Region.Along(lines.Select(l => l.Line).Append([eye]).ToArray(), 1);
        var points = ((string)browser.ExecuteScript(
            "return [...document.querySelectorAll('.sketch-line textarea')].map(t => t.value).join('\\n')")!).Split('\n').Select(l =>
            l.Split(' ')).Select(w => new Pt(Number(w[0]), Number(w[1]))).ToArray();
        Assert.True(points.Length > 20);
        Assert.All(points, p => Assert.True(traced.Holds(p), $"{p} is off the sketch"));

        // A point moved by the keyboard, made a corner, taken out; all of it undone, and redone.
        browser.ExecuteScript("document.querySelector('.sketch-line[data-line=\"1\"] input[type=radio]').click()");
        string Line() => (string)browser.ExecuteScript("return document.querySelector('.sketch-line[data-line=\"1\"] textarea').value")!;
        var (before, of) = (Line(), browser.FindElements(By.CssSelector("#sketch-frame .line-handle")).Count);
        Assert.Equal(before.Split('\n').Length, of);
        browser.ExecuteScript("document.querySelector('#sketch-frame .line-handle').focus()");
        var from = (string)browser.ExecuteScript("return document.querySelector('#sketched input[name=From]').value")!;
        browser.SwitchTo().ActiveElement().SendKeys(Keys.Shift + Keys.ArrowUp);
        App.Until(() => (string)browser.ExecuteScript("return document.querySelector('#sketched input[name=From]').value")! != from,
            "the moved point is kept");
        Assert.Equal(Number(before.Split(',')[1].Split('\n')[0]) - 5, Number(Line().Split(',')[1].Split('\n')[0]), 1);
        App.Until(() => browser.SwitchTo().ActiveElement().GetAttribute("data-i") == "0", "the point keeps the focus");
        App.Click(browser, By.Id("undo"));
        App.Until(() => Line() == before, "it is back where it was");
        App.Click(browser, By.Id("redo"));
        App.Until(() => Line() != before, "and moved again");
        App.Click(browser, By.Id("undo"));
        App.Until(() => Line() == before, "and back");

        // Used on a piece, as large as on the card.
        App.Click(browser, By.Id("use"));
        App.Until(() => browser.FindElement(By.Id("trace-on")).Displayed, "it is a motif of hers");
        browser.Navigate().GoToUrl(new Uri($"{browser.Url}&Piece=10"));
        App.Until(() => browser.FindElement(By.Id("put")).Displayed, "it can be put on a piece");
        App.Click(browser, By.Name("asTraced"));
        App.Click(browser, By.Id("put"));
        App.Until(() => browser.FindElement(By.Id("slip-hands")).Text.Contains("Bird from a postcard", StringComparison.Ordinal),
            "it is on the bench");
        var complaints = browser.Manage().Logs.GetLog(LogType.Browser).Where(e => e.Level >= LogLevel.Warning).Select(e =>
            e.Message).ToArray();
        Assert.True(complaints.Length == 0, string.Join('\n', complaints));
    }

    private static double Number(string text) => double.Parse(text.Trim(' ', ','), CultureInfo.InvariantCulture);

    /// <summary>The mouse goes along points in mm on the picture; over a single one it clicks.</summary>
    private static void Draw(ChromeDriver browser, IReadOnlyList<Pt> line)
    {
        var box = (IReadOnlyDictionary<string, object>)browser.ExecuteScript(
            "const r = document.querySelector('#sketch-frame svg').getBoundingClientRect(), v = document.querySelector('#sketch-frame "
                + "svg').viewBox.baseVal; return { x: r.x, y: r.y, k: r.width / v.width }")!;
        double N(string name) => Convert.ToDouble(box[name], CultureInfo.InvariantCulture);
        void Mouse(string type, Pt p) => browser.ExecuteCdpCommand("Input.dispatchMouseEvent", new Dictionary<string,
            object?>(StringComparer.Ordinal)
        {
            ["type"] = type,
            ["x"] = N("x") + (p.X * N("k")),
            ["y"] = N("y") + (p.Y * N("k")),
            ["button"] = "left",
            ["buttons"] = type == "mouseReleased" ? 0 : 1,
            ["clickCount"] = 1,
        });

        Mouse("mousePressed", line[0]);
        foreach (var p in line.Skip(1))
        {
            Mouse("mouseMoved", p);
        }

        Mouse("mouseReleased", line[^1]);
    }
}
