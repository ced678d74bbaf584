using Dittany.Core.Effort;
using Dittany.Core.Hooping;
using Dittany.Core.Materials;
using Dittany.Core.Route;

namespace Dittany.Formats.Json;

/// <summary>Names of choices as they stand in JSON.</summary>
internal static class Names
{
    /// <summary>A member of an enumeration as JSON writes it: <c>mark-for-water</c>.</summary>
    public static string Of<T>(T value)
        where T : struct, Enum => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString());

    /// <summary>All members of an enumeration as JSON writes them.</summary>
    public static IEnumerable<string> All<T>()
        where T : struct, Enum => Enum.GetValues<T>().Select(Of);

    public static readonly Dictionary<string, Core.Measures.Units> Units = new(
        StringComparer.Ordinal)
    { ["centimetres"] = Core.Measures.Units.Centimetres, ["inches"] = Core.Measures.Units.Inches };
    public static readonly Dictionary<string, Core.Time.Stage> Stages = new(StringComparer.Ordinal)
    {
        ["planned"] = Core.Time.Stage.Planned,
        ["washed"] = Core.Time.Stage.Washed,
        ["marked"] = Core.Time.Stage.Marked,
        ["on-the-hoop"] = Core.Time.Stage.OnTheHoop,
        ["stitched"] = Core.Time.Stage.Stitched,
        ["drying"] = Core.Time.Stage.Drying,
        ["to-finish"] = Core.Time.Stage.ToFinish,
        ["finished"] = Core.Time.Stage.Finished,
    };
    public static readonly Dictionary<string, Opacity> Opacities = new(StringComparer.Ordinal)
    {
        ["sheer"] = Opacity.Sheer,
        ["translucent"] = Opacity.Translucent,
        ["opaque"] = Opacity.Opaque
    };
    public static readonly Dictionary<string, Pile> Piles = new(StringComparer.Ordinal)
    {
        ["none"] = Pile.None,
        ["short"] = Pile.Short,
        ["deep"] = Pile.Deep
    };
    public static readonly Dictionary<string, IronLimit> Irons = new(StringComparer.Ordinal)
    {
        ["none"] = IronLimit.None,
        ["one-dot"] = IronLimit.OneDot,
        ["two-dots"] = IronLimit.TwoDots,
        ["three-dots"] = IronLimit.ThreeDots
    };
    public static readonly Dictionary<string, Skill> Skills = new(StringComparer.Ordinal)
    {
        ["learner"] = Skill.Learner,
        ["practised"] = Skill.Practised,
        ["expert"] = Skill.Expert
    };
    public static readonly Dictionary<string, School> Schools = new(StringComparer.Ordinal)
    {
        ["hoop"] = School.Hoop,
        ["frame"] = School.Frame,
        ["in-hand"] = School.InHand
    };
    public static readonly Dictionary<string, FloatKind> Floats = new(StringComparer.Ordinal)
    {
        ["none"] = FloatKind.None,
        ["straight"] = FloatKind.Straight,
        ["carried"] = FloatKind.Carried,
        ["new-thread"] = FloatKind.NewThread
    };

    public static string Of<T>(IReadOnlyDictionary<string, T> names, T value)
        where T : struct => names.First(n => EqualityComparer<T>.Default.Equals(n.Value, value)).Key;
}
