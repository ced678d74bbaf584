using Dittany.Core.Materials;

namespace Dittany.Core.Operations;

/// <summary>An iron at an operation: the hottest setting it takes, and whether with steam.</summary>
public sealed record Ironing(IronLimit AtMost, bool Steam = false)
{
    /// <summary>The hottest its sole gets, °C (ISO 3758).</summary>
    public int MostC => Cloths.IronC(AtMost);
}

/// <summary>Water at an operation: the warmest it gets, °C, and whether the piece lies in it or is only sponged.</summary>
public sealed record Watering(int MostC, bool Soaks = true);

/// <summary>What lies on the cloth from one operation on, until another takes it away or sets it.</summary>
public enum Trace
{
    /// <summary>A drawn line that water takes out.</summary>
    MarkForWater,

    /// <summary>A drawn line that heat takes out.</summary>
    MarkForHeat,

    /// <summary>Film or a sheet that water takes out.</summary>
    Film,

    WetPaint,

    /// <summary>Paint that is dry and not set with heat yet.</summary>
    UnsetPaint,

    /// <summary>Paint that was set, but not long enough ago to be washed.</summary>
    FreshPaint,

    UnfixedPencil,

    FeltedWool,

    Beads,

    /// <summary>Stitches in a thread that bears an iron of one dot at most.</summary>
    ThreadOfOneDot,

    /// <summary>Stitches in a thread that bears an iron of two dots at most.</summary>
    ThreadOfTwoDots,
}

/// <summary>What stitches leave on the cloth for whatever is ironed after them.</summary>
public static class TenderThread
{
    /// <summary>A trace for each limit that is less than the hottest iron; none where all threads bear that.</summary>
    public static IReadOnlyList<Trace> Of(IEnumerable<ThreadKind> threads) => threads.Select(t => t.Care.Iron).Distinct().Order()
        .Select(iron => iron switch
        {
            null or IronLimit.ThreeDots => (Trace?)null,
            IronLimit.TwoDots => Trace.ThreadOfTwoDots,
            _ => Trace.ThreadOfOneDot,
        }).OfType<Trace>().Distinct().ToArray();
}
