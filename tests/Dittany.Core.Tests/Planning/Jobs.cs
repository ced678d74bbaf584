using Dittany.Core.Items;
using Dittany.Core.Planning;
using FsCheck;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Planning;

/// <summary>Made-up jobs for tests, and random ones for what always holds.</summary>
public static class Jobs
{
    public static readonly DateOnly Monday = new(2027, 3, 1);

    public static Job Towel(string text = "Juniper", Func<WordingAsked, WordingAsked>? with = null, params (string Id, string Choice)[] overrules) => new(
        "tea-towel",
        [(with ?? (w => w))(new WordingAsked("name", text))],
        Monday,
        Overrules: overrules.ToDictionary(o => o.Id, o => o.Choice, StringComparer.Ordinal));

    public static Plan Plan(Job job) => Planner.Make(job, Workshop.Default);

    public static Plan Plan(string text = "Juniper", Func<WordingAsked, WordingAsked>? with = null, params (string Id, string Choice)[] overrules) =>
        Plan(Towel(text, with, overrules));

    private static readonly string[] Words = ["Zoë", "Bread & Salt", "o", "I", "Łucja", "ÅNGSTRÖM", "gjpqy", "Mimi\nand Jo", "a.b:c!", "8 3 6", "Wwvxkz", "Ñandú", "Şule Çağ", "Kräuter", "Tea, 4 o'clock", "ŒUVRE", "ģirts"];

    /// <summary>Random jobs: words, heights, strands, places, cloths, habits.</summary>
    public static Arbitrary<(Job Job, Workshop Workshop)> Any() => Arb.From(
        from text in Gen.Elements(Words)
        from size in Gen.Elements("50x70", "45x65")
        from cap in Gen.Elements<double?>(null, null, 4, 6.5, 9, 12, 15, 22, 40)
        from strands in Gen.Elements<int?>(null, null, 1, 2, 3, 4, 6)
        from zone in Gen.Elements("lower", "middle")
        from cloth in Gen.Elements<string?>(null, "linen", "lawn", "terry", "cotton-jersey", "denim", "velvet")
        from colour in Gen.Elements("#f1ede2", "#20242c", "#8fa58a")
        from school in Gen.Elements("graded", "uniform")
        from hold in Gen.Elements("hoop", "frame", "in-hand")
        from cut in Gen.Elements("300", "450", "600")
        from dx in Gen.Choose(-60, 60)
        from nudged in Gen.Elements(false, true)
        select (
            new Job(
                "tea-towel",
                [new WordingAsked("name", text, CapHeightMm: cap, Strands: strands, CentreMm: nudged ? new Geometry.Pt(240 + dx, 540) : null)],
                Monday,
                Size: size,
                Zone: zone,
                Fabric: new StatedFabric(cloth, colour)),
            Workshop.Default with
            {
                Habits = new Dictionary<string, string>(StringComparer.Ordinal) { ["stitch-length"] = school, ["hold"] = hold, ["cut-length"] = cut },
            }));
}
