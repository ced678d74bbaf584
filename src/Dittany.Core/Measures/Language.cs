using System.Globalization;
using System.Resources;

namespace Dittany.Core.Measures;

/// <summary>
/// A language sentences can be told in beside English: a catalogue whose keys are the English sentences with their gaps
/// (<c>Sentences.XX.resx</c>). What it has no words for stays English.
/// </summary>
public sealed class Language
{
    private static readonly ResourceManager Catalogue = new("Dittany.Core.Measures.Sentences", typeof(Language).Assembly);

    private readonly CultureInfo _culture;

    private Language(string id)
    {
        _culture = CultureInfo.GetCultureInfo(id);
        Id = id;
    }

    /// <summary>As RFC 5646 has it.</summary>
    public string Id { get; }

    public static Language German { get; } = new("de");

    public static IReadOnlyList<Language> Known { get; } = [German];

    /// <summary>
    /// The sentence for a key, or null. One that is told within another, with a small letter or without its stop, goes by the whole one.
    /// </summary>
    public string? Find(string key)
    {
        if (key.Length == 0)
        {
            return null;
        }

        if (In(key) is { } there)
        {
            return there;
        }

        var capital = char.IsUpper(key[0]);
        if (In(capital ? Say.Lower(key) : Say.Upper(key)) is { } cased)
        {
            return capital ? Say.Upper(cased) : Say.Lower(cased);
        }

        return In(key + ".") is { } stopped && stopped.EndsWith('.') ? stopped[..^1] : null;
    }

    /// <summary>A length or number as this language writes it.</summary>
    public string Number(string english) => english.Replace(".", _culture.NumberFormat.NumberDecimalSeparator, StringComparison.Ordinal);

    private string? In(string key) => Catalogue.GetString(key, _culture);
}
