using System.Globalization;
using System.Runtime.InteropServices;
using System.Text.RegularExpressions;
using Dittany.Force;

namespace Dittany.Web.Tests.Setup;

/// <summary>
/// The stores of the GNU C library lie on borders of 64 MB (HEAP_MAX_SIZE of its malloc/arena.c, 64-bit). Left alone there is one for every
/// thread that asks while another asks, up to eight a processor; what many answers at once leave behind in them never goes back.
/// </summary>
public sealed partial class NativeMemoryTests
{
    private const long Border = 64L << 20;

    [Fact]
    public async Task Many_answers_at_once_do_not_open_a_store_each()
    {
        if (!OperatingSystem.IsLinux() || RuntimeInformation.RuntimeIdentifier.Contains("musl", StringComparison.Ordinal))
        {
            Assert.False(OperatingSystem.IsLinux() && Web.Setup.NativeMemory.Bound());
            return;
        }

        using var program = new Attacked(Directory.CreateTempSubdirectory("dittany-memory-").FullName);
        program.Begin(("DITTANY_WARM_UP", "no"));
        Assert.True(await program.Up());
        using var client = Sending.ClientOf(program.Url);
        string[] pages = ["/", "/new", "/letters", "/motifs", "/cupboard", "/habits", "/set", "/workshop"];
        for (var round = 0; round < 4; round++)
        {
            await Task.WhenAll(Enumerable.Range(0, 48).Select(async i =>
                (await client.GetAsync(new Uri(pages[i % pages.Length], UriKind.Relative))).Dispose()));
        }

        // A store is used from a border on, and what is kept free of it reaches to the next: other memory may lie on a border by chance.
        var lines = (await File.ReadAllLinesAsync(string.Create(CultureInfo.InvariantCulture, $"/proc/{program.Id}/maps")))
            .Select(l => Mapped().Match(l)).ToArray();
        var stores = lines.Zip(lines.Skip(1)).Count(p => At(p.First, "from") is { } from && from % Border == 0
            && p.First.Groups["use"].Value == "rw-p" && p.Second.Groups["use"].Value == "---p"
            && At(p.Second, "from") == At(p.First, "to") && At(p.Second, "to") is { } to && to % Border == 0);
        Assert.InRange(stores, 1, 7);

        static long? At(Match line, string name) => line.Success
            ? long.Parse(line.Groups[name].Value, NumberStyles.HexNumber, CultureInfo.InvariantCulture) : null;
    }

    [GeneratedRegex(@"^(?<from>[0-9a-f]+)-(?<to>[0-9a-f]+) (?<use>\S{4}) 00000000 00:00 0\s*$", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Mapped();
}
