namespace Dittany.Core.Materials;

/// <summary>How a thing is cleaned, hardest first: each next one is gentler.</summary>
public enum Cleaning
{
    Machine,
    ByHand,

    /// <summary>By hand and at once: nothing is soaked.</summary>
    ByHandQuickly,

    /// <summary>Brushed, and spots with a damp cloth; never in water.</summary>
    Damp,

    /// <summary>Given away to be cleaned; no water at all.</summary>
    Cleaner,
}

/// <summary>
/// What one thing on a piece bears: members that are null limit nothing. <paramref name="Rule"/> names it and <paramref name="Source"/> is
/// where it comes from. <paramref name="WashC"/> and the iron are the hottest it bears; <paramref name="NeverUnder"/> is what no iron comes
/// over, from behind neither, and <paramref name="NeverOn"/> what none touches from the front.
/// </summary>
public sealed record CareLimit(string Rule, string Source, Cleaning? Clean = null, int? WashC = null, IronLimit? Iron = null,
    bool NoSteam = false, bool ThroughCloth = false, bool Flat = false, bool InsideOut = false, bool NoRubbing = false,
        bool NoWringing = false,
    bool WoolSoap = false, bool RunsAtFirst = false, bool WatchBack = false, int FirstWashAfterDays = 0, string? NeverUnder = null,
        string? NeverOn = null,
    string? IronWhy = null);

/// <summary>
/// How a piece is looked after: what the weakest of all that is on it bears. Everything that decides by heat or water asks this record; one
/// place tells it.
/// </summary>
public sealed record Care(Cleaning Clean, int WashC, IronLimit Iron, bool Steam, bool ThroughCloth, bool Flat, bool InsideOut,
    bool NoRubbing,
    bool NoWringing, bool WoolSoap, bool RunsAtFirst, bool WatchBack, int FirstWashAfterDays, IReadOnlyList<string> NeverUnder,
        IReadOnlyList<string> NeverOn,
    string? IronWhy)
{
    /// <summary>The hottest wash there is a label for, °C (ISO 3758).</summary>
    private const int HottestWashC = 95;

    /// <summary>Where the colour of a thread or cloth may run, the first washes are as cool as this, °C (common practice).</summary>
    public const int FirstWashesC = 30;

    /// <summary>What bears everything.</summary>
    public static Care Free { get; } = new(Cleaning.Machine, HottestWashC, IronLimit.ThreeDots, true, false, false, false, false, false,
        false,
        false, false, 0, [], [], null);

    /// <summary>The hottest iron, °C (ISO 3758); 0 where none comes near.</summary>
    public int IronC => Cloths.IronC(Iron);

    /// <summary>Whether water comes to it at all.</summary>
    public bool Washed => Clean < Cleaning.Damp;

    /// <summary>The weakest of all limits; in whatever order they come.</summary>
    public static Care Of(IEnumerable<CareLimit> limits) => limits.Aggregate(Free, (care, limit) => care.Narrowed(limit));

    /// <summary>The weaker of two in everything.</summary>
    public Care And(Care other)
    {
        var cooler = other.Iron < Iron ? other : Iron < other.Iron || IronWhy is not null ? this : other;
        return new Care(Gentler(Clean, other.Clean), Math.Min(WashC, other.WashC), Cooler(Iron, other.Iron), Steam && other.Steam,
            ThroughCloth || other.ThroughCloth, Flat || other.Flat, InsideOut || other.InsideOut, NoRubbing || other.NoRubbing,
            NoWringing || other.NoWringing, WoolSoap || other.WoolSoap, RunsAtFirst || other.RunsAtFirst, WatchBack || other.WatchBack,
            Math.Max(FirstWashAfterDays, other.FirstWashAfterDays), Both(NeverUnder, other.NeverUnder), Both(NeverOn, other.NeverOn),
            cooler.IronWhy);
    }

    /// <summary>The same with one more thing on it.</summary>
    public Care Narrowed(CareLimit limit) => And(new Care(limit.Clean ?? Cleaning.Machine, limit.WashC ?? HottestWashC,
        limit.Iron ?? IronLimit.ThreeDots, !limit.NoSteam, limit.ThroughCloth, limit.Flat, limit.InsideOut, limit.NoRubbing,
            limit.NoWringing,
        limit.WoolSoap, limit.RunsAtFirst, limit.WatchBack, limit.FirstWashAfterDays, One(limit.NeverUnder), One(limit.NeverOn),
            limit.IronWhy));

    public bool Equals(Care? other) => other is not null && (Clean, WashC, Iron, Steam, ThroughCloth, Flat, InsideOut).Equals((other.Clean,
        other.WashC, other.Iron, other.Steam, other.ThroughCloth, other.Flat, other.InsideOut)) && (NoRubbing, NoWringing, WoolSoap,
            RunsAtFirst,
        WatchBack, FirstWashAfterDays, IronWhy).Equals((other.NoRubbing, other.NoWringing, other.WoolSoap, other.RunsAtFirst,
            other.WatchBack,
        other.FirstWashAfterDays, other.IronWhy)) && NeverUnder.SequenceEqual(other.NeverUnder, StringComparer.Ordinal)
        && NeverOn.SequenceEqual(other.NeverOn, StringComparer.Ordinal);

    public override int GetHashCode() => HashCode.Combine(Clean, WashC, Iron, Steam, FirstWashAfterDays, NeverUnder.Count, NeverOn.Count);

    private static Cleaning Gentler(Cleaning one, Cleaning other) => one > other ? one : other;

    private static IronLimit Cooler(IronLimit one, IronLimit other) => one < other ? one : other;

    private static IReadOnlyList<string> One(string? what) => what is null ? [] : [what];

    private static string[] Both(IReadOnlyList<string> one, IReadOnlyList<string> other) =>
        [.. one.Concat(other).Distinct(StringComparer.Ordinal).Order(StringComparer.Ordinal)];
}
