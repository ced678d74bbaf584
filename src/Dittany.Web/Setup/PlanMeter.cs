using System.Diagnostics.Metrics;

namespace Dittany.Web.Setup;

/// <summary>How the asking for a plan ended.</summary>
public enum PlanEnd
{
    /// <summary>It was made.</summary>
    Made,

    /// <summary>It was kept from before.</summary>
    Kept,

    /// <summary>The job is more than one plan holds.</summary>
    Refused,

    /// <summary>Too many wait already.</summary>
    Busy,

    /// <summary>It failed by a fault of ours.</summary>
    Failed,
}

/// <summary>
/// What the making of plans comes to, told by the platform's own means to whoever measures the program: how long plans take
/// (<c>dittany.plan.duration</c>, s), what they reckon (<c>dittany.plan.steps</c>), how asking ended (<c>dittany.plan.asked</c>, by
/// <c>end</c>) and how many are in the making (<c>dittany.plan.making</c>). No words of a piece are among it. Safe to be shared between
/// threads.
/// </summary>
public sealed class PlanMeter : IDisposable
{
    /// <summary>What the meter is called.</summary>
    public const string Name = "Dittany.Plans";

    private readonly Counter<long> _asked;
    private readonly Histogram<double> _seconds;
    private readonly Histogram<long> _steps;

    public PlanMeter(Func<int> making)
    {
        Meter = new Meter(Name);
        _asked = Meter.CreateCounter<long>("dittany.plan.asked", "{plan}", "Plans asked for, by how it ended.");
        _seconds = Meter.CreateHistogram<double>("dittany.plan.duration", "s", "How long plans take that are made, waiting among the dear ones included.");
        _steps = Meter.CreateHistogram<long>("dittany.plan.steps", "{step}", "Steps of reckoning that plans take.");
        Meter.CreateObservableGauge("dittany.plan.making", making, "{plan}", "Plans that are made or wait for it.");
    }

    /// <summary>The meter itself, to listen to it alone.</summary>
    public Meter Meter { get; }

    public void Ended(PlanEnd end) => _asked.Add(1, new KeyValuePair<string, object?>("end", end switch
    {
        PlanEnd.Made => "made",
        PlanEnd.Kept => "kept",
        PlanEnd.Refused => "refused",
        PlanEnd.Busy => "busy",
        _ => "failed",
    }));

    /// <summary>A plan that was made.</summary>
    public void Took(TimeSpan time, long steps)
    {
        _seconds.Record(time.TotalSeconds);
        _steps.Record(steps);
        Ended(PlanEnd.Made);
    }

    public void Dispose() => Meter.Dispose();
}
