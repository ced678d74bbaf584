using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace Dittany.Browser.Tests;

/// <summary>
/// The real program in a process of its own, over a folder of its own: begun for the first who looks at it, ended with the last.
/// </summary>
public sealed class Served
{
    private readonly Lock _counting = new();
    private Task<string>? _url;
    private Process? _program;
    private string _folder = string.Empty;
    private int _looking;

    /// <summary>Somebody begins to look; the address as soon as it answers.</summary>
    public Task<string> Begin()
    {
        lock (_counting)
        {
            _looking++;
            return _url ??= Start();
        }
    }

    /// <summary>Somebody has looked enough: with the last it ends, and its folder with it.</summary>
    public void End()
    {
        lock (_counting)
        {
            if (--_looking > 0 || _program is null)
            {
                return;
            }

            _program.Kill();
            _program.WaitForExit();
            _program.Dispose();
            (_program, _url) = (null, null);
            Directory.Delete(_folder, true);
        }
    }

    private async Task<string> Start()
    {
        _folder = Directory.CreateTempSubdirectory("dittany-browser-").FullName;
        var port = FreePort().ToString(CultureInfo.InvariantCulture);
        var url = $"http://localhost:{port}";
        var start = new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location, "--demo"])
        {
            RedirectStandardOutput = true,
            UseShellExecute = false
        };
        start.Environment["DITTANY_DATA"] = _folder;
        start.Environment["DITTANY_WARM_UP"] = "no";
        start.Environment["DITTANY_DAY"] = "2027-03-03";
        start.Environment["DITTANY_PORT"] = port;
        _program = Process.Start(start)!;
        _program.OutputDataReceived += (_, _) => { };
        _program.BeginOutputReadLine();
        using var client = new HttpClient();
        using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(180));
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(50));
        while (true)
        {
            try
            {
                if ((await client.GetAsync(new Uri($"{url}/new"), limit.Token)).IsSuccessStatusCode)
                {
                    return url;
                }
            }
            catch (HttpRequestException)
            {
                await beat.WaitForNextTickAsync(limit.Token);
            }
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
