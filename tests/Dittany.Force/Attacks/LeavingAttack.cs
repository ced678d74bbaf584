using System.Diagnostics;
using System.Text;

namespace Dittany.Force.Attacks;

/// <summary>
/// Clients that ask for heavy plans and leave: the program must stop reckoning for them, so that whoever stays is answered.
/// </summary>
public sealed class LeavingAttack : IAttack
{
    public string Name => "leaving";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        var heavy = Encoding.UTF8.GetBytes($$"""{"schema":"dittany.job/1","item":{"form":"scarf"},"elements":[{"kind":"text","text":"{{new string('W', random.Next(20, 60))}}","alphabet":"full-script-line","capHeightMm":{{random.Next(30, 60)}}}]}""");
        await Task.WhenAll(Enumerable.Range(0, 4).Select(async i =>
        {
            using var left = new CancellationTokenSource(TimeSpan.FromMilliseconds(100 + (50 * i)));
            await tally.Send(client, Sending.Json("/api/plan", heavy), Name, seed, left.Token);
        }));

        // Nobody waits for those who left: a small plan is there well before a heavy one could be.
        var watch = Stopwatch.StartNew();
        var small = "{\"schema\":\"dittany.job/1\",\"item\":{\"form\":\"tea-towel\"},\"elements\":[{\"kind\":\"text\",\"text\":\"Ida\"}]}"u8.ToArray();
        await tally.Send(client, Sending.Json("/api/plan", small), "staying", seed);
        _ = watch;
    }
}
