using System.Text.RegularExpressions;
using Dittany.Core.Crafts;
using Dittany.Core.Items;
using Dittany.Core.Laws;
using Dittany.Core.Materials;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Tests;

/// <summary>
/// What docs/how-to-add.md tells is so: its files are there, its pieces of code stand in them, and what it adds was added.
/// </summary>
public partial class HowToAddTests
{
    private static string Root { get; } = Above(new DirectoryInfo(AppContext.BaseDirectory));

    private static string Page { get; } = File.ReadAllText(Path.Combine(Root, "docs", "how-to-add.md"));

    [Fact]
    public void Every_file_it_names_is_there()
    {
        var files = Named().Matches(Page).Select(m => m.Value).Distinct(StringComparer.Ordinal).ToArray();
        Assert.True(files.Length > 12);
        Assert.All(files, f => Assert.True(File.Exists(Path.Combine(Root, f)), f));
    }

    [Fact]
    public void Every_piece_of_code_stands_in_its_file()
    {
        var pieces = Piece().Matches(Page);
        Assert.True(pieces.Count > 5);
        Assert.All(pieces, p => Assert.Contains(Plain(p.Groups["code"].Value), Plain(File.ReadAllText(Path.Combine(Root, p.Groups["file"].Value))),
            StringComparison.Ordinal));
    }

    [Fact]
    public void What_it_adds_is_known()
    {
        Assert.Contains(Book.Lines, s => s.Id == "coral");
        Assert.NotNull(Book.Fill("satin"));
        Assert.NotNull(Inks.Find("white-pencil"));
        Assert.NotNull(ThreadKinds.Find("metallic"));
        Assert.NotNull(AllCrafts.Find("beads"));
        Assert.NotNull(Catalogue.Find("tea-towel"));
        Assert.Contains(AllLaws.List, l => l.Name == "one heat");
    }

    private static string Plain(string code) => Blank().Replace(code, " ").Trim();

    private static string Above(DirectoryInfo at) => File.Exists(Path.Combine(at.FullName, "Dittany.slnx")) ? at.FullName
        : Above(at.Parent ?? throw new DirectoryNotFoundException("Dittany.slnx stands nowhere above the tests."));

    [GeneratedRegex(@"(?:src|tests)/[\w./]+\.cs", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Named();

    [GeneratedRegex(@"```csharp\n// (?<file>\S+)\n(?<code>.*?)```", RegexOptions.ExplicitCapture | RegexOptions.Singleline, 1000)]
    private static partial Regex Piece();

    [GeneratedRegex(@"\s+", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Blank();
}
