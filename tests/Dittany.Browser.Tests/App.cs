using System.Diagnostics;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>A program of its own, for those who change what all pieces stand on: habits, workshop, the day's pieces.</summary>
public sealed class OwnApp : App
{
    public OwnApp()
        : base(new Served())
    {
    }
}

/// <summary>
/// The real program with its made-up pieces, and browsers to look at it with. All who make pieces of their own look at one program:
/// starting it takes longer than most of what is looked at.
/// </summary>
public class App : IAsyncLifetime
{
    private static readonly Served Shared = new();

    [ThreadStatic]
    private static ChromeDriver? _last;

    private readonly Served _served;

    public App()
        : this(Shared)
    {
    }

    private protected App(Served served)
    {
        _served = served;
    }

    public string Url { get; private set; } = string.Empty;

    public async Task InitializeAsync()
    {
        Lent.Begin();
        Url = await _served.Begin();
    }

    public Task DisposeAsync()
    {
        _served.End();
        Lent.End();
        return Task.CompletedTask;
    }

    /// <summary>A browser with a viewport of exactly this size, as if it were fresh; disposing gives it back.</summary>
    public ChromeDriver Browser(int width = 1280, int height = 800, bool scripts = true)
    {
        var driver = Lent.One(scripts);
        driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride", new Dictionary<string, object?>(StringComparer.Ordinal)
        {
            ["width"] = width,
            ["height"] = height,
            ["deviceScaleFactor"] = 1,
            ["mobile"] = false,
        });
        driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", width < 1000
            ? new Dictionary<string, object?>(StringComparer.Ordinal) { ["enabled"] = true, ["maxTouchPoints"] = 2 }
            : new Dictionary<string, object?>(StringComparer.Ordinal) { ["enabled"] = false });
        _last = driver;
        return driver;
    }

    /// <summary>Cuts the connection of a browser, or gives it back.</summary>
    public static void Offline(ChromeDriver browser, bool gone)
    {
        browser.ExecuteCdpCommand("Network.enable", []);
        browser.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string,
            object?>(StringComparer.Ordinal)
        {
            ["offline"] = gone,
            ["latency"] = 0,
            ["downloadThroughput"] = -1,
            ["uploadThroughput"] = -1
        });
    }

    /// <summary>A finger put down, moved and lifted, in pixels of the page's window.</summary>
    public static void Touch(ChromeDriver browser, (double X, double Y) from, (double X, double Y) to)
    {
        Send("touchStart", from);
        for (var i = 1; i <= 8; i++)
        {
            Send("touchMove", (from.X + ((to.X - from.X) * i / 8), from.Y + ((to.Y - from.Y) * i / 8)));
        }

        Send("touchEnd", null);

        void Send(string type, (double X, double Y)? at) =>
            browser.ExecuteCdpCommand("Input.dispatchTouchEvent", new Dictionary<string, object?>(StringComparer.Ordinal)
            {
                ["type"] = type,
                ["touchPoints"] = at is { } p ? new object[] { new Dictionary<string,
                object>(StringComparer.Ordinal) { ["x"] = p.X, ["y"] = p.Y } } : [],
            });
    }

    /// <summary>The content policy and the scripts had nothing to complain about.</summary>
    public static void NoComplaints(ChromeDriver browser)
    {
        var complaints = Complaints(browser);
        Assert.True(complaints.Count == 0, string.Join('\n', complaints));
    }

    /// <summary>
    /// What the content policy and the scripts complained of since it was last asked, but for requests that were given up because a
    /// newer one took their place: a fast typist makes those, and each is told of in two lines.
    /// </summary>
    public static IReadOnlyList<string> Complaints(ChromeDriver browser)
    {
        var told = browser.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message).ToList();
        foreach (var given in told.Where(m => m.Contains("\"htmx:sendAbort", StringComparison.Ordinal)).ToList())
        {
            told.Remove(given);
            told.Remove(told.Find(m => m.Contains("\"htmx:afterRequest", StringComparison.Ordinal)) ?? string.Empty);
        }

        return told;
    }

    /// <summary>However long a question took, it is asked this often before it counts as unanswered.</summary>
    private const int LeastAsked = 2;

    /// <summary>Waits until something holds; a page that changes under the question is asked again.</summary>
    public static void Until(Func<bool> condition, string what)
    {
        var limit = Stopwatch.StartNew();
        using var beat = new ManualResetEventSlim();
        for (var asked = 0; asked < LeastAsked || limit.Elapsed < TimeSpan.FromSeconds(60); asked++)
        {
            try
            {
                if (condition())
                {
                    return;
                }
            }
            catch (WebDriverException)
            {
                // Not there yet, or just replaced: ask again.
            }

            // Asking without a pause would take the processor from the page that is waited for.
            beat.Wait(20);
        }

        Assert.Fail($"It never came about that {what}.{Seen()}");
    }

    /// <summary>What stood on the page that was looked at last.</summary>
    private static string Seen()
    {
        try
        {
            return _last?.ExecuteScript(
                "return ` At ${location.href} stood: ${document.body.innerText.slice(0, 1500)} | "
                    + "${[...document.querySelectorAll('[aria-invalid=true]')].map(e => `${e.name}=${e.value}`)}`") as string ?? string.Empty;
        }
        catch (WebDriverException e)
        {
            return $" The browser said no more: {e.Message}";
        }
    }

    /// <summary>Clicks what is there, or will be: what is swapped between finding and clicking is looked for again.</summary>
    public static void Click(ChromeDriver browser, By where) => Until(
        () =>
        {
            browser.FindElement(where).Click();
            return true;
        },
        $"{where} takes a click");

    /// <summary>Sends keys to what stands there now; where it is replaced in that moment, to what replaced it.</summary>
    public static void Press(ChromeDriver browser, By where, string keys) => Until(
        () =>
        {
            browser.FindElement(where).SendKeys(keys);
            return true;
        },
        $"{where} takes keys");
}
