using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Planning;

namespace Dittany.Core.Tests.Planning;

/// <summary>Colours of parts that touch can be told apart, on any cloth.</summary>
public class NeighbourTests
{
    public static TheoryData<string> Coloured() => [.. MotifLibrary.All.Where(m => m.Wears.Count > 1).Select(m => m.Id)];

    /// <summary>
    /// A part whose own colour is lost on the cloth takes one that differs from all that touch it, as long as the palette has one that
    /// shows there at all. Difference by CIEDE2000 (Sharma, Wu and Dalal 2005).
    /// </summary>
    [Theory]
    [MemberData(nameof(Coloured))]
    public void What_stands_in_does_not_run_into_its_neighbours(string id)
    {
        foreach (var cloth in new[] { "#fbf9f4", "#1d2433", "#c63a3a", "#d9a531" })
        {
            On(MotifLibrary.Find(id)!, cloth);
        }
    }

    private static void On(Motif motif, string cloth)
    {
        var plan = Samples.Make(new Job("cushion-cover", [new MotifElement("m", motif.Id, HeightMm: 40)], Samples.Monday, Fabric: new FabricOverrides(Colour: cloth)), Workshop.Default);
        var worn = plan.Elements[0].Parts.GroupBy(p => p.Role).ToDictionary(g => g.Key, g => g.First().Colour, StringComparer.Ordinal);
        var neighbours = Neighbours.Of(motif.Draw(new MotifShape()).Parts);
        string[] Ids(string role) => motif.Wears[role].Split(' ');
        bool ByNature(string role) => worn[role] == Palette.Find(Ids(role)[0]).Hex;
        foreach (var role in motif.Wears.Keys.Where(r => worn.ContainsKey(r) && !ByNature(r)))
        {
            var beside = neighbours.Beside(role).Where(n => worn.ContainsKey(n) && motif.Wears.ContainsKey(n)
                && motif.Wears[n] != motif.Wears[role] && ByNature(n)).ToArray();
            var better = Ids(role).Select(Palette.Find).Where(c => ColourDifference.Lightness(Colour.Parse(c.Hex),
                Colour.Parse(cloth)) >= 20).Any(c => beside.All(n => Neighbours.Apart(c.Hex, worn[n])));
            Assert.True(!better || beside.All(n => Neighbours.Apart(worn[role], worn[n])), $"{motif.Id} on {cloth}: {role} {worn[role]}");
        }
    }

    /// <summary>Parts in one colour that touch are told of where it was she who chose it; others are not.</summary>
    [Fact]
    public void Alike_neighbours_of_hers_are_told()
    {
        Plan With(string role, string colour) => Samples.Make(new Job("cushion-cover", [new MotifElement("m", "songbird", HeightMm: 90) { ByPart = [new PartAsked(role, Colour: colour)] }], Samples.Monday), Workshop.Default);
        string Told(Plan plan) => string.Join(' ', plan.Decision("thread.colour")!.Because);
        Assert.Contains("both in cornflower blue", Told(With("breast", "cornflower")), StringComparison.Ordinal);
        Assert.DoesNotContain("beside it", Told(With("breast", "orange")), StringComparison.Ordinal);
        Assert.Contains("can hardly be told from", Told(With("breast", "#5078bb")), StringComparison.Ordinal);
    }
}
