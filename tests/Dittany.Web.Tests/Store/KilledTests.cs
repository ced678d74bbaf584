using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using AngleSharp.Html.Parser;

namespace Dittany.Web.Tests.Store;

/// <summary>The real program, killed with SIGKILL while it saves, comes back with every change it had confirmed.</summary>
public sealed class KilledTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("dittany-killed-").FullName;
    private readonly int _port = FreePort();
    private Process? _program;

    public void Dispose()
    {
        if (_program is { HasExited: false })
        {
            _program.Kill();
        }

        _program?.Dispose();
    }

    [Fact]
    public async Task Comes_back_with_every_confirmed_change()
    {
        using var browser = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false }) { BaseAddress = new Uri($"http://localhost:{_port}") };
        await Start(browser);
        var made = await PostForm(browser, "/new", "/new", ("Words", "Mimi"), ("Form", "tea-towel"), ("Colour", "#f1ede2"));
        Assert.Equal(HttpStatusCode.Redirect, made.StatusCode);
        var bench = made.Headers.Location!.ToString();

        // Changes go in one after the other; somewhere in the stream of them the program dies.
        var confirmed = 0;
        var saving = Task.Run(async () =>
        {
            var page = new HtmlParser().ParseDocument(await browser.GetStringAsync(bench));
            var token = page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
            for (var i = 0; i < 4000; i++)
            {
                using var form = new FormUrlEncodedContent(new Dictionary<string, string>(StringComparer.Ordinal)
                {
                    ["__RequestVerificationToken"] = token,
                    ["by"] = (i % 2 == 0 ? 1 : -1).ToString(CultureInfo.InvariantCulture),
                });
                var answer = await browser.PostAsync($"{bench}?handler=Grow", form);
                if (answer.StatusCode == HttpStatusCode.Redirect)
                {
                    Interlocked.Increment(ref confirmed);
                }
            }
        });
        await Until(() => Volatile.Read(ref confirmed) >= 15);
        _program!.Kill();
        await _program.WaitForExitAsync();
        await Assert.ThrowsAnyAsync<Exception>(() => saving);

        await Start(browser);
        var after = new HtmlParser().ParseDocument(await browser.GetStringAsync(bench));
        var head = int.Parse(after.QuerySelector("#bench")!.GetAttribute("data-from")!, CultureInfo.InvariantCulture);
        Assert.InRange(head, 1 + Volatile.Read(ref confirmed), 2 + Volatile.Read(ref confirmed));
    }

    /// <summary>The plan made by another process, in another language and time zone, is the same to the byte.</summary>
    [Fact]
    public async Task The_same_bytes_in_another_process()
    {
        using var browser = new HttpClient { BaseAddress = new Uri($"http://localhost:{_port}") };
        await Start(browser, ("LANG", "tr_TR.UTF-8"), ("LC_ALL", "tr_TR.UTF-8"), ("TZ", "Pacific/Kiritimati"));
        var job = new Core.Planning.Job("tea-towel", [new Core.Planning.WordingAsked("name", "Iğdır & Jo")], new DateOnly(2027, 3, 1), DueOn: new DateOnly(2027, 3, 20));
        using var body = Setup.Site.Json(Formats.Json.JobJson.Write(job));
        var theirs = await (await browser.PostAsync("/api/plan", body)).Content.ReadAsByteArrayAsync();
        var shop = Core.Planning.Workshop.Default;
        Assert.Equal(Formats.Json.PlanJson.Write(job, shop, Core.Planning.Planner.Make(job, shop, Dittany.Formats.Alphabets.ShippedAlphabets.Library)), theirs);
    }

    /// <summary>Any address but this machine's own is refused with a sentence, and nothing is served.</summary>
    [Fact]
    public async Task Another_address_is_refused_with_a_sentence()
    {
        using var program = Run(("DITTANY_BIND", "0.0.0.0"));
        var said = await program.StandardError.ReadToEndAsync();
        await program.WaitForExitAsync();
        Assert.Equal(1, program.ExitCode);
        Assert.Contains("listens on this machine only", said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_folder_in_use_is_refused_with_a_sentence()
    {
        using var held = Dittany.Store.DataFolder.Open(_folder);
        using var program = Run();
        var said = await program.StandardError.ReadToEndAsync();
        await program.WaitForExitAsync();
        Assert.Equal(1, program.ExitCode);
        Assert.Contains("in use by another Dittany", said, StringComparison.Ordinal);
    }

    internal static async Task<HttpResponseMessage> PostForm(HttpClient browser, string page, string to, params (string Name, string Value)[] answers)
    {
        var form = new HtmlParser().ParseDocument(await browser.GetStringAsync(page));
        var fields = answers.Append(("__RequestVerificationToken", form.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!)).Select(a => KeyValuePair.Create(a.Item1, a.Item2));
        using var content = new FormUrlEncodedContent(fields);
        return await browser.PostAsync(to, content);
    }

    private Process Run(params (string Name, string Value)[] environment)
    {
        var start = new ProcessStartInfo("dotnet", typeof(Program).Assembly.Location) { RedirectStandardOutput = true, RedirectStandardError = true, UseShellExecute = false };
        start.Environment["DITTANY_DATA"] = _folder;
        start.Environment["DITTANY_PORT"] = _port.ToString(CultureInfo.InvariantCulture);
        foreach (var (name, value) in environment)
        {
            start.Environment[name] = value;
        }

        return Process.Start(start)!;
    }

    private async Task Start(HttpClient browser, params (string Name, string Value)[] environment)
    {
        _program?.Dispose();
        _program = Run(environment);
        _program.OutputDataReceived += (_, _) => { };
        _program.BeginOutputReadLine();
        await Until(async () =>
        {
            try
            {
                return (await browser.GetAsync("/new")).IsSuccessStatusCode;
            }
            catch (HttpRequestException)
            {
                return false;
            }
        });
    }

    private static Task Until(Func<bool> condition) => Until(() => Task.FromResult(condition()));

    internal static async Task Until(Func<Task<bool>> condition)
    {
        using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
        while (!await condition())
        {
            await beat.WaitForNextTickAsync(limit.Token);
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
