using Dittany.Core.Operations;

namespace Dittany.Core.Jobs;

/// <summary>What the log and the paces of a workshop call kinds of work, and what they are told apart by.</summary>
public static class PaceNames
{
    /// <summary>Work at the needle.</summary>
    public const string Stitching = "stitching";

    /// <summary>What work is told apart by.</summary>
    public const string ByStitch = "stitch";

    public const string ByCloth = "cloth";

    public const string ByItem = "item";

    /// <summary>What the log calls thread used up, and how long stitches come out.</summary>
    public const string ThreadUse = "thread-use";

    public const string StitchLength = "stitch-length";

    /// <summary>Kinds of work that are learnt apart.</summary>
    public static IReadOnlyList<string> Kinds { get; } =
        [Stitching, .. Enum.GetNames<OpKind>().Select(k => k.ToLowerInvariant())];

    /// <summary>What is learnt beside minutes, in shares of the usual.</summary>
    public static IReadOnlyList<string> Measures { get; } = [ThreadUse, StitchLength];

    /// <summary>A pace beyond these is another mistake (from memory).</summary>
    public const double LeastFactor = 0.1;

    public const double MostFactor = 10;

    /// <summary>What differs by less than this share is not told apart (from memory).</summary>
    public const double LeastTold = 0.05;

    /// <summary>What a kind of work is told apart by in these paces, and how many times as long each takes.</summary>
    internal static IEnumerable<(string Name, double Ratio)> Names(IReadOnlyDictionary<string, double> paces, string kind, string aspect) =>
        paces.Where(p => p.Key.StartsWith($"{kind}.{aspect}.", StringComparison.Ordinal)).Select(p => (p.Key[(kind.Length + aspect.Length + 2)..], p.Value));

    /// <summary>Why there is no pace of this name; null where there is one.</summary>
    public static string? Against(string name)
    {
        var parts = name.Split('.', 3);
        return !Kinds.Concat(Measures).Contains(parts[0], StringComparer.Ordinal) ? $"Use {ValueChecks.Either(Kinds.Concat(Measures))}."
            : parts.Length == 1 || (parts is [_, "low" or "high" or "pieces"]) ? null
            : parts is [_, ByStitch or ByCloth or ByItem, { Length: > 0 }] ? null
            : "Put .low, .high or .pieces behind it, or .stitch., .cloth. or .item. with a name.";
    }

    /// <summary>What the log calls an operation.</summary>
    public static string KindOf(Operation operation) => operation.Kind == OpKind.Stitch ? Stitching
        : operation.Kind.ToString().ToLowerInvariant();
}
