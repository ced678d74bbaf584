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

        var stores = File.ReadLines(string.Create(CultureInfo.InvariantCulture, $"/proc/{program.Id}/maps"))
            .Select(l => Mapped().Match(l))
            .Count(m => m.Success && long.Parse(m.Groups["from"].Value, NumberStyles.HexNumber,
                CultureInfo.InvariantCulture) % Border == 0);
        Assert.InRange(stores, 0, 7);
    }

    [GeneratedRegex(@"^(?<from>[0-9a-f]+)-[0-9a-f]+ rw-p 00000000 00:00 0\s*$", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Mapped();
}
