using Dittany.Core.Measures;

namespace Dittany.Core.Decisions;

/// <summary>The ten stations of a piece, in the order the maker meets them.</summary>
public enum Station
{
    Item,
    Space,
    Words,
    Transfer,
    Hoop,
    Thread,
    Stitches,
    Order,
    Time,
    Finish,
}

/// <summary>Something that could have been chosen: what a program calls it, and what a maker calls it.</summary>
public sealed record Choice(string ChoiceId, Told Text);

/// <summary>A choice that will not do here, with why.</summary>
public sealed record RuledOut(string ChoiceId, Told Text, IReadOnlyList<Told> Because);

/// <summary>
/// One thing the plan settled. Page, sheet and API all tell it from this record; none composes the sentence again. <paramref name="From"/>
/// is where its numbers come from, told on asking; <paramref name="NotFollowed"/>
/// a habit or wish of hers that could not be followed here, with the reason and what would let it be.
/// </summary>
public sealed record Decision(
    DecisionKey Key,
    Station Station,
    string Subject,
    Told Choice,
    string ChoiceId,
    IReadOnlyList<Told> Because,
    IReadOnlyList<Told> WouldChange,
    IReadOnlyList<Choice> Alternatives,
    IReadOnlyList<RuledOut> RuledOut,
    bool Overruled = false,
    string? WouldHaveBeen = null,
    IReadOnlyList<string>? From = null,
    IReadOnlyList<Told>? NotFollowed = null)
{
    /// <summary>Its key as JSON and a change write it.</summary>
    public string Id => Key.ToString();

    /// <summary>Changes of the job that would let more of what she wishes be followed, each tried out.</summary>
    public IReadOnlyList<Offer>? Offers { get; init; }

    /// <summary>Whether what is not followed was wished for this very piece; else it is a habit.</summary>
    public bool UnfollowedWish { get; init; }
}

/// <summary>One change of a job: the member it would set, as a change writes it, and what a maker would call doing so.</summary>
public sealed record Offer(Told Text, string Member, string Value);

/// <summary>Whom a caution protects.</summary>
public enum CautionKind
{
    Person,
    Item,
}

/// <summary>How much a caution matters: good to know, take care, or stop before harm.</summary>
public enum Severity
{
    Note,
    Caution,
    Stop,
}

/// <summary>
/// A warning that protects a person or the item, and the station at which it arises; null where it holds throughout. <paramref name="Id"/>
/// names the rule it comes from, <c>iron</c> or <c>transfer.method</c>, and is never told.
/// </summary>
public sealed record Caution(string Id, CautionKind Kind, Severity Severity, Told Text, Station? At = null);

/// <summary>
/// One change that would cure a concern. Exactly one member is set, a colour with what it is called; taking it makes the concern go away.
/// </summary>
public sealed record Remedy(double? CapHeightMm = null, int? Strands = null, string? Colour = null, string? Stitch = null,
    int? Rows = null, string? Alphabet = null, double? HeightMm = null, double? RadiusMm = null, string? ColourName = null,
    Geometry.Pt? CentreMm = null)
{
    /// <summary>How far a new place of the middle is from where it is, mm.</summary>
    public Geometry.Pt ByMm { get; init; }

    /// <summary>The remedy as a maker would say it.</summary>
    public Told Text => this switch
    {
        { CapHeightMm: { } cap } => (Told)$"make the capitals {Say.Length(cap)}",
        { HeightMm: { } high } => (Told)$"make it {Say.Length(high)} high",
        { Alphabet: { } hand } => $"write it in the {hand.Replace('-', ' ')}",
        { RadiusMm: { } radius } => (Told)$"take a radius of {Say.Length(radius)}",
        { CentreMm: not null, ByMm: { X: 0 } by } => (Told)$"move it {Say.Length(Math.Round(Math.Abs(by.Y), 1))} {(by.Y < 0 ? "up" : "down")}",
        { CentreMm: not null } => (Told)$"move it {Say.Length(Math.Round(Math.Abs(ByMm.X), 1))} to the {(ByMm.X < 0 ? "left" : "right")}",
        { Strands: 1 } => "take a single strand",
        { Strands: { } strands } => $"take {strands} strands",
        { Stitch: { } stitch } => $"stitch it in {stitch.Replace('-', ' ')}",
        { Rows: { } rows } => $"set it in {rows} rows",
        _ => $"take {ColourName ?? Colour}",
    };
}

/// <summary>
/// Something in an element that will not come out well: a plan with a concern is still a plan. <paramref name="Letter"/> is the letter it
/// befell, or null for the whole.
/// </summary>
public sealed record Concern(string What, string? Letter, double? ByMm, Told Text, IReadOnlyList<Remedy> Remedies);
