using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Engines;
using OpenQA.Selenium.Chrome;

namespace Dittany.Bench;

/// <summary>
/// From a click on the bench to the pixels of the new plan, in a real browser on the published program: server, network, swap, layout and
/// two frames. Every change is to a state not planned before, so that no kept plan helps. Wants <c>.dittany-app</c> and Debian's chromium
/// with its driver.
/// </summary>
[SimpleJob(RunStrategy.Monitoring, launchCount: 1, warmupCount: 8, iterationCount: 14)]
[System.Diagnostics.CodeAnalysis.SuppressMessage("Design", "CA1001", Justification = "The clean-up of the bench disposes them.")]
public class PixelsBench
{
    private const string WarmSaid = "Warmed up";
    private const string Painted = "requestAnimationFrame(() => requestAnimationFrame(() => done()))";
    private Process _program = null!;
    private ChromeDriver _browser = null!;

    /// <summary>
    /// Pieces of the demonstration: a name of three letters on a towel, two rows on a bodysuit, nineteen letters on a towel.
    /// </summary>
    [Params(10, 9, 5)]
    public int Piece { get; set; }

    [GlobalSetup]
    public void Open()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "package.json")))
        {
            root = root.Parent ?? throw new DirectoryNotFoundException("package.json stands nowhere above the bench.");
        }

        using var free = new TcpListener(IPAddress.Loopback, 0);
        free.Start();
        var port = ((IPEndPoint)free.LocalEndpoint).Port.ToString(CultureInfo.InvariantCulture);
        free.Stop();
        var start = new ProcessStartInfo("dotnet", [Path.Combine(root.FullName, ".dittany-app", "Dittany.Web.dll"),
            "--demo"])
        { RedirectStandardOutput = true, UseShellExecute = false };
        start.Environment["DITTANY_DATA"] = Directory.CreateTempSubdirectory("dittany-bench-").FullName;
        start.Environment["DITTANY_PORT"] = port;
        _program = Process.Start(start)!;
        using var warm = new ManualResetEventSlim();
        _program.OutputDataReceived += (_, line) =>
        {
            if (line.Data?.Contains(WarmSaid, StringComparison.Ordinal) == true)
            {
                warm.Set();
            }
        };
        _program.BeginOutputReadLine();
        using var client = new HttpClient();
        var limit = Stopwatch.StartNew();
        while (!Answers(client, new Uri($"http://localhost:{port}/new")))
        {
            if (limit.Elapsed > TimeSpan.FromSeconds(60))
            {
                throw new TimeoutException("The program did not answer.");
            }
        }

        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--window-size=1280,943",
            $"--user-data-dir={Directory.CreateTempSubdirectory("dittany-profile-").FullName}");
        _browser = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options,
            TimeSpan.FromSeconds(60));
        _browser.Navigate().GoToUrl(new Uri($"http://localhost:{port}/bench/{Piece.ToString(CultureInfo.InvariantCulture)}"));

        // What the program compiles for speed after its start is done before she works.
        if (!warm.Wait(TimeSpan.FromSeconds(90)))
        {
            throw new TimeoutException("The program never said that it was warm.");
        }
    }

    [GlobalCleanup]
    public void Close()
    {
        _browser.Dispose();
        _program.Kill();
        _program.Dispose();
    }

    /// <summary>Two frames and the way to the browser and back: what is in the figures below without any change.</summary>
    [Benchmark(Baseline = true)]
    public object? Two_frames_alone() => _browser.ExecuteAsyncScript($"const done = arguments[0]; {Painted};");

    [Benchmark]
    public object? Words_moved_to_pixels() => Click("move-right");

    [Benchmark]
    public object? Capitals_higher_to_pixels() => Click("larger");

    private object? Click(string id) => _browser.ExecuteAsyncScript(
        $"const done = arguments[0]; document.addEventListener('bench:shown', () => {Painted}, {{ once: true }}); "
            + $"document.getElementById('{id}').click();");

    private static bool Answers(HttpClient client, Uri at)
    {
        try
        {
            return client.GetAsync(at).GetAwaiter().GetResult().IsSuccessStatusCode;
        }
        catch (HttpRequestException)
        {
            return false;
        }
    }
}
