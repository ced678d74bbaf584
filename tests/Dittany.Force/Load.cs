using System.Diagnostics;
using System.Globalization;
using System.Net;

namespace Dittany.Force;

/// <summary>How long a bench and a change took, of a hundred: the middle, and that under which 95 stay, in ms.</summary>
public sealed record Loaded(int People, double BenchMiddle, double Bench95, double ChangeMiddle, double Change95, int Refused)
{
    public override string ToString() => string.Create(
        CultureInfo.InvariantCulture,
            $"{People} at once: bench {BenchMiddle:0} ms, p95 {Bench95:0} ms; change {ChangeMiddle:0} ms, p95 {Change95:0} ms; {Refused} "
                + $"refused");
}

/// <summary>
/// So many people at their benches at once, each with a piece of her own, who change something every few seconds and look.
/// </summary>
public static class Load
{
    private static readonly TimeSpan Every = TimeSpan.FromSeconds(5);

    private static readonly string[] Words = ["Mimi", "Zoë", "Juniper", "Bread & Salt", "Little Pebble", "Kräuter", "Ottokar", "Wilma",
        "Thyme", "Odalys"];

    private static readonly string[] Forms = ["tea-towel", "napkin", "tote", "baby-bodysuit", "apron", "christmas-stocking"];

    public static async Task<Loaded> Run(Uri url, int people, TimeSpan time, int seed, Tally tally)
    {
        var (benches, changes) = (new List<double>(), new List<double>());
        var refused = 0;
        using var ends = new CancellationTokenSource(time);
        await Task.WhenAll(Enumerable.Range(0, people).Select(async person =>
        {
            var random = new Random(seed + person);
            using var client = new HttpClient(new HttpClientHandler
            {
                AllowAutoRedirect = false,
                AutomaticDecompression = DecompressionMethods.All
            })
            { BaseAddress = url };
            var token = await Sending.Token(client, "/new");
            using var made = await client.SendAsync(Sending.Post("/new",
                [("__RequestVerificationToken", token), ("Words", Hostile.Pick(random, Words)), ("Form", Hostile.Pick(random, Forms))]));
            var bench = made.Headers.Location!.ToString();
            try
            {
                await Task.Delay(random.Next(0, (int)Every.TotalMilliseconds), ends.Token);
                using var beat = new PeriodicTimer(Every);
                do
                {
                    await Timed(benches, () => Sending.Get(bench));
                    await Timed(changes, () =>
                    {
                        var nudge = Sending.Post($"{bench}?handler=Nudge",
                            [("__RequestVerificationToken", token), ("dx", random.Next(-1, 2).ToString(CultureInfo.InvariantCulture)),
                            ("dy", "1")]);
                        nudge.Headers.Add("HX-Request", "true");
                        return nudge;
                    });
                }
                while (await beat.WaitForNextTickAsync(ends.Token));
            }
            catch (OperationCanceledException)
            {
                // The time is over.
            }

            async Task Timed(List<double> into, Func<HttpRequestMessage> ask)
            {
                var watch = Stopwatch.StartNew();
                using var request = ask();
                var answer = await tally.Send(client, request, "load", seed);
                lock (into)
                {
                    into.Add(watch.Elapsed.TotalMilliseconds);
                    refused += answer?.Status == HttpStatusCode.OK ? 0 : 1;
                }
            }
        }));
        return new Loaded(people, At(benches, 0.5), At(benches, 0.95), At(changes, 0.5), At(changes, 0.95), refused);
    }

    private static double At(List<double> all, double share) => all.Count == 0 ? 0
        : all.Order().ElementAt(Math.Min(all.Count - 1, (int)(share * all.Count)));
}
