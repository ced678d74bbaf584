using System.Globalization;
using System.Net;
using System.Text;

namespace Dittany.Force.Attacks;

/// <summary>Many ask for the very same plan at once: all get it, and none is turned away.</summary>
public sealed class EqualAttack : IAttack
{
    private const int Many = 8;

    public string Name => "equal";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        var body = Encoding.UTF8.GetBytes(string.Create(CultureInfo.InvariantCulture,
            $"{{\"item\":{{\"form\":\"tablecloth\"}},\"elements\":[{{\"kind\":\"motif\",\"motif\":\"daisy\",\"arrangement\":\"scatter\",\"count\":{random.Next(8, 20)},\"heightMm\":{random.Next(150, 400)}}}]}}"));
        var answers = await Task.WhenAll(Enumerable.Range(0, Many).Select(_ => tally.Send(client, Sending.Json("/api/plan", body), Name, seed)));
        if (answers.Any(a => a is { Status: not HttpStatusCode.OK }) && answers.Any(a => a is { Status: HttpStatusCode.OK }))
        {
            tally.Wrong(string.Create(CultureInfo.InvariantCulture, $"{Name}, seed {seed}: one plan was answered in several ways"));
        }
    }
}
