using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace Dittany.Force;

/// <summary>
/// The real program over a folder of its own, on loopback, to be attacked: started, asked, killed. What it writes to its log is kept to be
/// looked at.
/// </summary>
public sealed class Attacked(string folder) : IDisposable
{
    private static readonly TimeSpan MostStart = TimeSpan.FromSeconds(60);

    private Process? _program;
    private long _most;
    private volatile bool _warm;

    /// <summary>The program's file; another build can be named, to be compared with.</summary>
    private static string Program => Environment.GetEnvironmentVariable("DITTANY_FORCE_PROGRAM") is { Length: > 0 } other ? other
        : typeof(Web.Setup.Start).Assembly.Location;

    public string Folder => folder;

    public Uri Url { get; private set; } = new("http://localhost");

    /// <summary>Exceptions that the program wrote of.</summary>
    public int Exceptions { get; private set; }

    /// <summary>The most memory it ever held, MB (the high water mark of its resident set).</summary>
    public long MostMb
    {
        get
        {
            Look();
            return _most;
        }
    }

    /// <summary>Its number among the processes.</summary>
    public int Id => _program!.Id;

    public bool Runs => _program is { HasExited: false };

    /// <summary>Starts it, and does not wait.</summary>
    public void Begin(params (string Name, string Value)[] environment)
    {
        _program?.Dispose();
        var port = FreePort();
        Url = new Uri(string.Create(CultureInfo.InvariantCulture, $"http://localhost:{port}"));
        var start = new ProcessStartInfo("dotnet", [Program])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false
        };
        (start.Environment["DITTANY_DATA"], start.Environment["DITTANY_PORT"]) = (folder, port.ToString(CultureInfo.InvariantCulture));
        start.Environment["DITTANY_DAY"] = "2027-03-03";
        foreach (var (name, value) in environment)
        {
            start.Environment[name] = value;
        }

        _program = Process.Start(start)!;
        _program.OutputDataReceived += (_, line) => Heard(line.Data);
        _program.ErrorDataReceived += (_, line) => Heard(line.Data);
        _program.BeginOutputReadLine();
        _program.BeginErrorReadLine();
    }

    /// <summary>Waits until it answers; false where it ended instead, or took longer than a minute.</summary>
    public async Task<bool> Up()
    {
        using var client = new HttpClient { BaseAddress = Url };
        using var limit = new CancellationTokenSource(MostStart);
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
        while (Runs)
        {
            try
            {
                using var answer = await client.GetAsync(new Uri("/new", UriKind.Relative), limit.Token);
                if (answer.IsSuccessStatusCode)
                {
                    return true;
                }

                await beat.WaitForNextTickAsync(limit.Token);
            }
            catch (HttpRequestException)
            {
                await beat.WaitForNextTickAsync(limit.Token);
            }
            catch (OperationCanceledException)
            {
                return false;
            }
        }

        return false;
    }

    /// <summary>
    /// Waits until it says that it has warmed up, as it does in the first seconds after every start; a minute at the most.
    /// </summary>
    public async Task Warm()
    {
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(100));
        for (var beats = 0; Runs && !_warm && beats < 600; beats++)
        {
            await beat.WaitForNextTickAsync();
        }
    }

    /// <summary>Kills it where it stands.</summary>
    public async Task Kill()
    {
        Look();
        if (Runs)
        {
            _program!.Kill();
            await _program.WaitForExitAsync();
        }
    }

    public void Dispose()
    {
        if (Runs)
        {
            _program!.Kill();
        }

        _program?.Dispose();
    }

    private void Heard(string? line)
    {
        _warm |= line?.Contains("Warmed up", StringComparison.Ordinal) == true;
        if (line is not null && (line.Contains("ERR]", StringComparison.Ordinal)
            || line.Contains("Unhandled exception", StringComparison.Ordinal)))
        {
            Exceptions++;
            Console.WriteLine($"  it wrote: {line}");
        }
        else if (line is not null && Environment.GetEnvironmentVariable("DITTANY_FORCE_LOG") is { Length: > 0 })
        {
            Console.WriteLine($"  | {line}");
        }
    }

    private void Look()
    {
        try
        {
            var line = Runs ? File.ReadLines(string.Create(CultureInfo.InvariantCulture, $"/proc/{_program!.Id}/status")).FirstOrDefault(
                l => l.StartsWith("VmHWM", StringComparison.Ordinal)) : null;
            _most = Math.Max(_most, line is null ? 0 : long.Parse(string.Concat(line.Where(char.IsAsciiDigit)),
                CultureInfo.InvariantCulture) / 1024);
        }
        catch (IOException)
        {
            // It ended just now.
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
