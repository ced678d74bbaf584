using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Finishing;

/// <summary>The one place that tells how a piece is looked after, from what it bears.</summary>
public static class CareTelling
{
    /// <summary>Cleaning, ironing and what else there is, a sentence each.</summary>
    public static IReadOnlyList<Told> Tell(Care care)
    {
        var told = new List<Told> { Cleaned(care) };
        if (care is { Washed: true, FirstWashAfterDays: > 0 })
        {
            told.Add($"Its first wash comes no sooner than {care.FirstWashAfterDays} days after the paint was set; the tin's own sheet counts.");
        }

        if (care.Washed)
        {
            told.Add("No bleach, no tumble drying on hot.");
        }

        if (care.Clean != Cleaning.Damp || care.Iron != IronLimit.None)
        {
            told.Add(Ironed(care));
        }

        if (care.WatchBack)
        {
            told.Add("Look at the back now and then: a loose end is cut or sewn in before it is worn again.");
        }

        return told;
    }

    private static Told Cleaned(Care care) => care.Clean switch
    {
        Cleaning.Cleaner => "Do not wash; have it cleaned.",
        Cleaning.Damp => "Not meant to be washed: brush the dust off, and take spots out with a damp cloth.",
        Cleaning.ByHandQuickly => $"Wash by hand, cool and quick, without soaking{Manner(care)}{Dried(care)}.{Running(care)}",
        Cleaning.ByHand => $"Wash by hand at up to {Math.Min(care.WashC, Care.FirstWashesC)} °C{(care.WoolSoap ? " with a soap for wool" : string.Empty)}"
            + $"{Manner(care)}{Dried(care)}.{Running(care)}",
        _ when care.RunsAtFirst && care.WashC > Care.FirstWashesC =>
            $"The first three times wash it at {Care.FirstWashesC} °C with like colours, after that at {care.WashC} °C, {Turned(care)}.",
        _ => $"Wash at {care.WashC} °C, {Turned(care)}.{Running(care)}",
    };

    private static string Turned(Care care) => care.InsideOut ? "inside out" : "inside out or in a bag";

    private static string Manner(Care care) => (care.InsideOut ? ", inside out" : string.Empty) + (care switch
    {
        { NoRubbing: true, NoWringing: true } => ", without rubbing or wringing",
        { NoRubbing: true } => ", without rubbing",
        { NoWringing: true } => ", without wringing",
        _ => string.Empty,
    });

    private static string Dried(Care care) => care.Flat || care.WoolSoap ? ", and dry it lying flat" : string.Empty;

    private static string Running(Care care) => care.RunsAtFirst ? " The first three times wash it with like colours." : string.Empty;

    private static string Ironed(Care care)
    {
        if (care.Iron == IronLimit.None)
        {
            return "Do not iron.";
        }

        var how = $"Iron from behind{(care.ThroughCloth ? " and through a cloth" : string.Empty)}, {Cloths.SettingOf(care.Iron)}"
            + $"{(care.Steam ? string.Empty : ", without steam")}{(care.IronWhy is { } why ? $": {why}" : string.Empty)}.";
        var beside = care.NeverUnder.Count > 0 ? $" Never iron over {Say.List(care.NeverUnder)}: press beside, on a towel." : string.Empty;
        return how + beside + (care.NeverOn.Count > 0 ? $" Never iron on {Say.List(care.NeverOn)} itself." : string.Empty);
    }
}
