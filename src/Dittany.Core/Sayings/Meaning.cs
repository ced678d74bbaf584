namespace Dittany.Core.Sayings;

/// <summary>What kind of thing words of a saying mean; finer than <see cref="Label"/>, which is what is shown.</summary>
internal enum Meaning
{
    Words,
    Form,
    FormSize,
    Cloth,
    ClothColour,
    Lined,
    Sewn,
    Zone,
    Motif,
    Count,
    PartCount,
    Part,
    Stitch,
    Fill,
    Thread,
    Strands,
    Colour,
    SecondColour,
    Style,
    Height,
    Width,
    Length,
    Rows,
    WordsWay,
    MotifsWay,
    Way,
    Growing,
    Turned,
    Transfer,
    Marker,
    Stabiliser,
    HoopSize,
    Hold,
    Craft,
    Hand,
    Day,
    Whom,
    MakeUp,
    Without,
    Link,
    Small,
    Unplaced,
}

/// <summary>
/// Tokens from one up to another that mean one thing. <paramref name="Id"/> is what is meant, as a job names it; <paramref name="Name"/>
/// how it is told.
/// </summary>
internal sealed record Bit(Meaning Meaning, int From, int To, string Id, string Name)
{
    public double Mm { get; init; }

    /// <summary>A guess by one wrong letter.</summary>
    public bool Guessed { get; init; }

    public Label Label => Meaning switch
    {
        Meaning.Words => Label.Words,
        Meaning.Form or Meaning.Cloth or Meaning.Sewn => Label.Item,
        Meaning.FormSize or Meaning.Lined or Meaning.MakeUp => Label.Size,
        Meaning.Colour or Meaning.ClothColour or Meaning.SecondColour => Label.Colour,
        Meaning.Zone => Label.Zone,
        Meaning.Motif => Label.Motif,
        Meaning.Count or Meaning.PartCount => Label.Count,
        Meaning.Part => Label.Part,
        Meaning.Stitch => Label.Stitch,
        Meaning.Fill => Label.Fill,
        Meaning.Thread => Label.Thread,
        Meaning.Strands => Label.Strands,
        Meaning.Style => Label.Style,
        Meaning.Height => Label.Height,
        Meaning.Width or Meaning.Length => Label.Width,
        Meaning.Rows => Label.Rows,
        Meaning.WordsWay or Meaning.MotifsWay or Meaning.Way or Meaning.Growing or Meaning.Turned => Label.Arrangement,
        Meaning.Transfer or Meaning.Marker or Meaning.Stabiliser => Label.Transfer,
        Meaning.HoopSize or Meaning.Hold => Label.Hoop,
        Meaning.Craft => Label.Craft,
        Meaning.Hand => Label.Hand,
        Meaning.Day => Label.Day,
        Meaning.Whom => Label.Whom,
        Meaning.Unplaced => Label.Unplaced,
        _ => Label.Small,
    };
}

/// <summary>What a run of bits is in the sentence.</summary>
internal enum Phrase
{
    Words,
    Item,
    Zone,
    Motif,
    Part,
    Wish,
    Day,
    Whom,
    Link,
    Small,
    Unplaced,
}

/// <summary>One way to take tokens from one up to another: its bits in order, and how unlikely it is; 0 is certain.</summary>
internal sealed record Candidate(Phrase Phrase, int From, int To, IReadOnlyList<Bit> Bits, double Cost);
