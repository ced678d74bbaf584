namespace Dittany.Core.Tests;

/// <summary>
/// Code is read beside other code: no line is longer than 140 characters, but for those that hold one literal that cannot be parted, and
/// what is drawn as data.
/// </summary>
public class LineTests
{
    private const int Most = 140;

    /// <summary>What lines of drawings hold.</summary>
    private static readonly string[] Drawn = [" | M ", " | S M ", "outline shape M ", "outline line M "];

    [Fact]
    public void Lines_are_no_longer_than_they_can_be_read()
    {
        var root = Root();
        var files = new[] { "src", "tests", "bench" }
            .SelectMany(d => Directory.EnumerateFiles(Path.Combine(root, d), "*.cs", SearchOption.AllDirectories))
            .Where(f => !f.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}", StringComparison.Ordinal)
                && !f.Contains("Migrations", StringComparison.Ordinal));
        var wrong = files.SelectMany(f => File.ReadLines(f).Select((line, i) => (Line: line, At: $"{Path.GetRelativePath(root, f)}:{i + 1}")))
            .Where(l => l.Line.Length > Most && !l.Line.Contains('"', StringComparison.Ordinal) && !Drawn.Any(d => l.Line.Contains(d, StringComparison.Ordinal)))
            .Select(l => l.At);
        Assert.Equal(string.Empty, string.Join('\n', wrong));
    }

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "Dittany.slnx")))
        {
            at = at.Parent ?? throw new DirectoryNotFoundException("Dittany.slnx stands nowhere above the tests.");
        }

        return at.FullName;
    }
}
