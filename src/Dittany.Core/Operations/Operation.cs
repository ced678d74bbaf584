using Dittany.Core.Decisions;
using Dittany.Core.Measures;

namespace Dittany.Core.Operations;

/// <summary>What kind of thing is done.</summary>
public enum OpKind
{
    Wash,
    Cut,
    Back,
    Print,
    Mark,
    Hoop,
    Stitch,
    Remove,
    Dry,
    Press,
    Sew,
    Paint,
    Felt,
    Tint,
}

/// <summary>Where it is done.</summary>
public enum Place
{
    Table,
    Iron,
    Sink,
    Hoop,
    Needle,
    Line,
}

/// <summary>What a wait is for.</summary>
public enum WaitKind
{
    Drying,
    Cooling,
    Setting,
    Soaking,
}

/// <summary>
/// Minutes that pass by themselves after an operation. Only drying keeps a piece from the same evening: it hangs overnight.
/// </summary>
public sealed record Wait(WaitKind Kind, double Minutes)
{
    /// <summary>
    /// What is hung up in the evening is dry the next day, or later for a long wait; 0 for what is waited for at the table.
    /// </summary>
    public int Days => Kind == WaitKind.Drying && Minutes > 0 ? Math.Max(1, (int)Math.Ceiling(Minutes / (24 * 60))) : 0;
}

/// <summary>Minutes one kind of work takes, by the name it is told under.</summary>
public sealed record StepMinutes(string Step, double Minutes);

/// <summary>Hands-on minutes with how sure they are.</summary>
public sealed record Minutes(double Low, double Likely, double High)
{
    /// <summary>Spread of an estimate with no log behind it yet (from memory): 15 % under, 25 % over.</summary>
    public const double LowShare = 0.85;

    public const double HighShare = 1.25;

    /// <summary>An estimate with the usual spread, to a tenth of a minute.</summary>
    public static Minutes About(double likely) => new(Rounded(likely * LowShare), Rounded(likely), Rounded(likely * HighShare));

    /// <summary>To a tenth of a minute, half away from zero.</summary>
    public static double Rounded(double minutes) => Math.Round(minutes, 1, MidpointRounding.AwayFromZero);
}

/// <summary>
/// Something an operation uses up: how much of it, in <c>m²</c>, <c>mm</c>, <c>sheets</c>, <c>skeins</c> or <c>pieces</c>.
/// </summary>
public sealed record Use(string What, double Amount, string Unit);

/// <summary>
/// One thing a maker does: where, with how many minutes of hands-on work by the names they are told under, what it uses, its steps in
/// order, and the operations that come before it. Time, diary, sheets and how far a piece is read operations and nothing else.
/// <paramref name="Wait"/> follows its last step; <paramref name="Cautions"/> are the ids of what is to be heeded at it.
/// </summary>
public sealed record Operation(
    OpId Id, OpKind Kind, Station At, Place Place, IReadOnlyList<StepMinutes> By, IReadOnlyList<Told> Steps, Wait? Wait = null,
        IReadOnlyList<Use>? Uses = null, IReadOnlyList<OpId>? After = null, IReadOnlyList<string>? Cautions = null)
{
    /// <summary>The iron that comes to it; null where none does.</summary>
    public Ironing? Iron { get; init; }

    /// <summary>The water it comes into; null where it stays dry.</summary>
    public Watering? Water { get; init; }

    /// <summary>What lies on the cloth from here on.</summary>
    public IReadOnlyList<Trace> Leaves { get; init; } = [];

    /// <summary>What is gone, or safe, from here on.</summary>
    public IReadOnlyList<Trace> Clears { get; init; } = [];

    /// <summary>
    /// The shares of its likely minutes that four in five times it lies between, where they are learnt; null for the usual.
    /// </summary>
    public (double Low, double High)? Shares { get; init; }

    /// <summary>Hands-on minutes of the whole operation.</summary>
    public Minutes Hands => Shares is { } shares ? new Minutes(Minutes.Rounded(LikelyMinutes * shares.Low), LikelyMinutes,
        Minutes.Rounded(LikelyMinutes * shares.High)) : Minutes.About(LikelyMinutes);

    /// <summary>The likely minutes, summed over what is told of them to a tenth.</summary>
    public double LikelyMinutes => Minutes.Rounded(By.Sum(s => Minutes.Rounded(s.Minutes)));
}
