using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>The real program with its made-up pieces, and browsers to look at it with.</summary>
public sealed class App : IAsyncLifetime
{
    private readonly string _folder = Directory.CreateTempSubdirectory("dittany-browser-").FullName;
    private Process? _program;

    public string Url { get; private set; } = string.Empty;

    public async Task InitializeAsync()
    {
        Lent.Begin();
        var port = FreePort();
        Url = $"http://localhost:{port.ToString(CultureInfo.InvariantCulture)}";
        var start = new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location, "--demo"]) { RedirectStandardOutput = true, UseShellExecute = false };
        start.Environment["DITTANY_DATA"] = _folder;
        start.Environment["DITTANY_WARM_UP"] = "no";
        start.Environment["DITTANY_DAY"] = "2027-03-03";
        start.Environment["DITTANY_PORT"] = port.ToString(CultureInfo.InvariantCulture);
        _program = Process.Start(start)!;
        _program.OutputDataReceived += (_, _) => { };
        _program.BeginOutputReadLine();
        using var client = new HttpClient();
        using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(50));
        while (true)
        {
            try
            {
                if ((await client.GetAsync(new Uri($"{Url}/new"), limit.Token)).IsSuccessStatusCode)
                {
                    return;
                }
            }
            catch (HttpRequestException)
            {
                await beat.WaitForNextTickAsync(limit.Token);
            }
        }
    }

    public Task DisposeAsync()
    {
        _program?.Kill();
        _program?.WaitForExit();
        _program?.Dispose();
        Lent.End();
        Directory.Delete(_folder, true);
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

        return driver;
    }

    /// <summary>Cuts the connection of a browser, or gives it back.</summary>
    public static void Offline(ChromeDriver browser, bool gone)
    {
        browser.ExecuteCdpCommand("Network.enable", []);
        browser.ExecuteCdpCommand("Network.emulateNetworkConditions", new Dictionary<string, object?>(StringComparer.Ordinal) { ["offline"] = gone, ["latency"] = 0, ["downloadThroughput"] = -1, ["uploadThroughput"] = -1 });
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

        void Send(string type, (double X, double Y)? at) => browser.ExecuteCdpCommand("Input.dispatchTouchEvent", new Dictionary<string, object?>(StringComparer.Ordinal)
        {
            ["type"] = type,
            ["touchPoints"] = at is { } p ? new object[] { new Dictionary<string, object>(StringComparer.Ordinal) { ["x"] = p.X, ["y"] = p.Y } } : [],
        });
    }

    /// <summary>However long a question took, it is asked this often before it counts as unanswered.</summary>
    private const int LeastAsked = 2;

    /// <summary>Waits until something holds; a page that changes under the question is asked again.</summary>
    public static void Until(Func<bool> condition, string what)
    {
        var limit = Stopwatch.StartNew();
        for (var asked = 0; asked < LeastAsked || limit.Elapsed < TimeSpan.FromSeconds(20); asked++)
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

            Thread.Yield();
        }

        Assert.Fail($"It never came about that {what}.");
    }

    /// <summary>Sends keys to what stands there now; where it is replaced in that moment, to what replaced it.</summary>
    public static void Press(ChromeDriver browser, By where, string keys) => Until(
        () =>
        {
            browser.FindElement(where).SendKeys(keys);
            return true;
        },
        $"{where} takes keys");

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
