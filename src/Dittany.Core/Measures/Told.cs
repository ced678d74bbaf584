using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;

namespace Dittany.Core.Measures;

/// <summary>
/// A length in a sentence, in mm, with the way it is written where nobody chose units: <paramref name="Written"/> is that way where it is
/// not the usual one, such as 60 cm;
/// <paramref name="Stays"/> that it stays so on a tape of centimetres.
/// </summary>
public readonly record struct Length(double Mm, string? Written = null, bool Stays = false)
{
    /// <summary>In millimetres, or as it was written.</summary>
    public override string ToString() => Written ?? Say.LengthInMm(Mm);

    public static implicit operator string(Length length) => length.ToString();

    /// <summary>On a tape of these units.</summary>
    public string In(Units units) => Stays && units == Units.Centimetres ? ToString() : Tape.Length(Mm, units);
}

/// <summary>Two lengths that share their unit in a sentence: 10 to 16 mm, 38 × 42 cm.</summary>
public readonly record struct Lengths(Length One, string Between, Length Two)
{
    public override string ToString() => $"{Number(One.ToString())}{Between}{Two}";

    /// <summary>
    /// On a tape of these units; as they are where those units would make one of the two, or another unit of one of them.
    /// </summary>
    public string In(Units units)
    {
        var (one, two) = (One.In(units), Two.In(units));
        return (One.Mm != Two.Mm && one == two) || Unit(one) != Unit(two) ? ToString() : $"{Number(one)}{Between}{two}";
    }

    private static string Unit(string length) => length[(length.LastIndexOf(' ') + 1)..];

    private static string Number(string length) => length[..length.LastIndexOf(' ')];
}

/// <summary>
/// What is told: words with lengths in them as values, so that units are chosen when it is shown. Everything else stands as it is;
/// somebody's own words are never touched. Written like any interpolated string. Nothing in it changes once it is told; then it may be read
/// from several threads at once.
/// </summary>
[InterpolatedStringHandler]
public sealed class Told : IEquatable<Told>
{
    private readonly List<object> _parts;

    public Told(int literalLength, int formattedCount)
    {
        _ = literalLength;
        _parts = new List<object>((2 * formattedCount) + 1);
    }

    private Told(List<object> parts)
    {
        _parts = parts;
    }

    [return: NotNullIfNotNull(nameof(words))]
    public static implicit operator Told?(string? words) => words is null ? null : new([words]);

    public static implicit operator Told(Length length) => new([length]);

    [return: NotNullIfNotNull(nameof(told))]
    public static implicit operator string?(Told? told) => told?.ToString();

    public static bool operator ==(Told? one, Told? other) => one is null ? other is null : one.Equals(other);

    public static bool operator !=(Told? one, Told? other) => !(one == other);

    /// <summary>Whether it is about thread and stitches: where nothing is stitched it is not told.</summary>
    public bool AboutThread { get; private init; }

    /// <summary>The same, known to be about thread and stitches.</summary>
    public Told OfThread() => new(_parts) { AboutThread = true };

    public void AppendLiteral(string words) => _parts.Add(words);

    public void AppendFormatted(string? words) => _parts.Add(new Gap(words ?? string.Empty));

    public void AppendFormatted(Length length) => _parts.Add(length);

    public void AppendFormatted(Lengths lengths) => _parts.Add(lengths);

    public void AppendFormatted(Told told) => _parts.Add(told);

    public void AppendFormatted<T>(T value) => _parts.Add(new Gap(string.Create(CultureInfo.InvariantCulture, $"{value}")));

    /// <summary>
    /// The sentence with its gaps: the key under which another language finds its own. {0} is the first of its values.
    /// </summary>
    public string Key
    {
        get
        {
            var (key, gap) = (new StringBuilder(), 0);
            foreach (var part in _parts)
            {
                _ = part is string words ? key.Append(words.Replace("{", "{{", StringComparison.Ordinal).Replace("}", "}}", StringComparison.Ordinal))
                    : key.Append(CultureInfo.InvariantCulture, $"{{{gap++}}}");
            }

            return key.ToString();
        }
    }

    /// <summary>The sentences, names and other words that stand in its gaps, each as a sentence of its own.</summary>
    public IEnumerable<Told> Inner => _parts.Select(p => p is Gap gap ? (Told)gap.Words : p as Told).OfType<Told>();

    /// <summary>With its lengths on a tape of these units.</summary>
    public string In(Units units) => string.Concat(_parts.Select(p => Shown(p, units)));

    /// <summary>
    /// In another language, with its lengths on a tape of these units; what that language has no words for stays as it is told here.
    /// </summary>
    public string In(Units units, Language language) => language.Find(Key) is { } there
        ? string.Format(CultureInfo.InvariantCulture, there,
            _parts.Where(p => p is not string).Select(p => (object)Shown(p, units, language)).ToArray())
        : string.Concat(_parts.Select(p => Shown(p, units, language)));

    private static string Shown(object part, Units units) => part switch
    {
        Length length => length.In(units),
        Lengths lengths => lengths.In(units),
        Told told => told.In(units),
        _ => part.ToString() ?? string.Empty,
    };

    private static string Shown(object part, Units units, Language language) => part switch
    {
        Length or Lengths => language.Number(Shown(part, units)),
        Told told => told.In(units, language),
        Gap gap => language.Find(gap.Words) ?? gap.Words,
        _ => Shown(part, units),
    };

    /// <summary>With its lengths as they were written: in millimetres, or where that is usual in centimetres.</summary>
    public override string ToString() => string.Concat(_parts);

    /// <summary>The same with a capital at its beginning.</summary>
    public Told Upper() => First(Say.Upper, told => told.Upper());

    /// <summary>The same for within a sentence.</summary>
    public Told Lower() => First(Say.Lower, told => told.Lower());

    /// <summary>The same without the stop at its end, to go on within a sentence.</summary>
    public Told WithoutStop() => _parts switch
    {
        [.. var before, string words] when words.EndsWith('.') => new([.. before, words[..^1]]),
        [.. var before, Gap gap] when gap.Words.EndsWith('.') => new([.. before, new Gap(gap.Words[..^1])]),
        [.. var before, Told told] => new([.. before, told.WithoutStop()]),
        _ => this,
    };

    private Told First(Func<string, string> change, Func<Told, Told> within) => _parts switch
    {
        [string { Length: > 0 } words, .. var rest] => new([change(words), .. rest]),
        [Gap { Words.Length: > 0 } gap, .. var rest] => new([new Gap(change(gap.Words)), .. rest]),
        [Told told, .. var rest] => new([within(told), .. rest]),
        _ => this,
    };

    public bool Contains(string words, StringComparison comparison) => ToString().Contains(words, comparison);

    public bool StartsWith(string words, StringComparison comparison) => ToString().StartsWith(words, comparison);

    public bool EndsWith(string words, StringComparison comparison) => ToString().EndsWith(words, comparison);

    /// <summary>Told alike, whatever it is put together of.</summary>
    public bool Equals(Told? other) => other is not null && string.Equals(ToString(), other.ToString(), StringComparison.Ordinal);

    public override bool Equals(object? obj) => Equals(obj as Told);

    public override int GetHashCode() => ToString().GetHashCode(StringComparison.Ordinal);

    /// <summary>A value that is no length, as it is written.</summary>
    private sealed record Gap(string Words)
    {
        public override string ToString() => Words;
    }
}
