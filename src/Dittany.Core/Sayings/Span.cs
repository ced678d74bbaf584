namespace Dittany.Core.Sayings;

/// <summary>What words of a saying are taken for.</summary>
public enum Label
{
    Words,
    Item,
    Size,
    Zone,
    Motif,
    Count,
    Part,
    Stitch,
    Fill,
    Thread,
    Strands,
    Colour,
    Style,
    Height,
    Width,
    Rows,
    Arrangement,
    Transfer,
    Hoop,
    Craft,
    Hand,
    Day,
    Whom,

    /// <summary>Words that say nothing of the piece by themselves: on, a, please.</summary>
    Small,

    /// <summary>Taken for nothing yet: it is asked about.</summary>
    Unplaced,
}

/// <summary>
/// Words of a saying from one place up to another, and what they were taken for. <paramref name="Means"/> tells it in words;
/// <paramref name="Others"/> is what else they could be, the likeliest first.
/// </summary>
public sealed record Span(int From, int To, string Text, Label Label, string Means, IReadOnlyList<Label> Others);

/// <summary>
/// What a maker settled of words of hers: they are this, whatever else they could be. Kept by the words themselves, the
/// <paramref name="Nth"/> time they are said, from 0, so that it holds while she types on.
/// </summary>
public sealed record Pin(string Text, int Nth, Label Label)
{
    /// <summary>Written out as one line: <c>motif:0:rose</c>; null where it is none.</summary>
    public static Pin? Read(string written) => written.Split(':', 3) is [var label, var nth, { Length: > 0 } text]
        && label.All(char.IsAsciiLetter) && Enum.TryParse<Label>(label, ignoreCase: true, out var named)
        && int.TryParse(nth, System.Globalization.NumberStyles.None, System.Globalization.CultureInfo.InvariantCulture, out var n)
        ? new Pin(text, n, named) : null;

    public override string ToString() => string.Create(System.Globalization.CultureInfo.InvariantCulture,
        $"{Label.ToString().ToLowerInvariant()}:{Nth}:{Text}");
}

/// <summary>One answer to a question: <paramref name="Said"/> put in the place of what was asked about, and what it then means.</summary>
public sealed record Answer(string Said, string Means);

/// <summary>Something of a saying that is asked about: from one place up to another; both the end where something is missing.</summary>
public sealed record Question(int From, int To, string Asks, IReadOnlyList<Answer> Answers);
