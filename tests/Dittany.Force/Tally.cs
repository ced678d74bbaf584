using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Net;

namespace Dittany.Force;

/// <summary>
/// What came of an attack: how often it was asked, what was answered, how long the slowest took, and every wrong with the seed that brings
/// it back. Safe to be shared between threads.
/// </summary>
public sealed class Tally
{
    /// <summary>Nobody waits longer for an answer, whatever is asked.</summary>
    public static readonly TimeSpan UsualHang = TimeSpan.FromSeconds(5);

    private const int MostTold = 40;

    private readonly ConcurrentDictionary<(string Attack, int Status), int> _answers = new();
    private readonly ConcurrentDictionary<string, double> _slowest = new(StringComparer.Ordinal);
    private readonly ConcurrentQueue<string> _wrongs = new();

    /// <summary>What takes longer is a hang.</summary>
    public TimeSpan Hang { get; init; } = UsualHang;

    public int Asked => _answers.Values.Sum();

    public int Wrongs { get; private set; }

    /// <summary>Where what is sent is written before it is sent, each over the last; null for nowhere.</summary>
    public string? Dump { get; init; }

    /// <summary>The body of the last answer.</summary>
    public string Last { get; private set; } = string.Empty;

    public IEnumerable<string> Told => _wrongs;

    /// <summary>Sends something and judges the answer: no 500, no hang. The answer, or null where there was none.</summary>
    public async Task<(HttpStatusCode Status, string Body, Uri? Location)?> Send(HttpClient client, HttpRequestMessage request,
        string attack, int seed, CancellationToken stop = default)
    {
        if (Dump is { } file && request.Content is { } sent)
        {
            await File.WriteAllBytesAsync(file, await sent.ReadAsByteArrayAsync(stop), stop);
        }

        var watch = Stopwatch.StartNew();
        var what = $"{request.Method} {request.RequestUri}";
        try
        {
            using var answer = await client.SendAsync(request, stop);
            var body = await answer.Content.ReadAsStringAsync(stop);
            Last = body;
            Count(attack, (int)answer.StatusCode, watch.Elapsed);
            if ((int)answer.StatusCode is >= 500 and not 503)
            {
                Wrong($"{attack}, seed {seed.ToString(CultureInfo.InvariantCulture)}: {(int)answer.StatusCode} for {what}");
            }

            if (watch.Elapsed > Hang)
            {
                Wrong($"{attack}, seed {seed.ToString(CultureInfo.InvariantCulture)}: {watch.Elapsed.TotalSeconds:0.0} s for {what}");
            }

            return (answer.StatusCode, body, answer.Headers.Location);
        }
        catch (OperationCanceledException) when (stop.IsCancellationRequested)
        {
            Count(attack, 0, watch.Elapsed);
            return null;
        }
        catch (Exception e) when (e is HttpRequestException or IOException or OperationCanceledException)
        {
            // A body that breaks off, or one refused before it was read to its end.
            Count(attack, -1, watch.Elapsed);
            if (watch.Elapsed > Hang)
            {
                Wrong($"{attack}, seed {seed.ToString(CultureInfo.InvariantCulture)}: no answer after {watch.Elapsed.TotalSeconds:0.0} s "
                    + $"for {what}");
            }

            return null;
        }
    }

    public void Wrong(string told)
    {
        Wrongs++;
        if (_wrongs.Count < MostTold)
        {
            _wrongs.Enqueue(told);
            Console.WriteLine($"  WRONG {told}");
        }
    }

    public void Count(string attack, int status, TimeSpan took)
    {
        _answers.AddOrUpdate((attack, status), 1, (_, n) => n + 1);
        _slowest.AddOrUpdate(attack, took.TotalSeconds, (_, s) => Math.Max(s, took.TotalSeconds));
    }

    /// <summary>A line for each attack.</summary>
    public IEnumerable<string> Lines() => _answers.GroupBy(a => a.Key.Attack).OrderBy(g => g.Key, StringComparer.Ordinal).Select(g =>
        string.Create(
        CultureInfo.InvariantCulture,
        $"{g.Key,-10} {g.Sum(a => a.Value),7} asked, slowest {_slowest[g.Key],5:0.0} s: "
            + $"{string.Join(", ", g.OrderBy(a => a.Key.Status).Select(a => $"{a.Value} × {a.Key.Status switch { 0 => "left", -1 => "cut off", var s => s.ToString(CultureInfo.InvariantCulture) }}"))}"));
}
