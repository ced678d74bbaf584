using System.Text;

namespace Dittany.Core.Words;

/// <summary>One letter read back: itself, and as it is said aloud.</summary>
public sealed record ProofLetter(string Letter, string Aloud);

/// <summary>The spelling proof: words read back letter by letter, accents aloud, before anything is printed or stitched.</summary>
public static class Proof
{
    private static readonly Dictionary<char, string> Marks = new()
    {
        ['\u0300'] = "grave",
        ['\u0301'] = "acute",
        ['\u0302'] = "circumflex",
        ['\u0303'] = "tilde",
        ['\u0304'] = "macron",
        ['\u0306'] = "breve",
        ['\u0307'] = "a dot above",
        ['\u0308'] = "two dots",
        ['\u030A'] = "a ring",
        ['\u030B'] = "two strokes",
        ['\u030C'] = "a caron",
        ['\u0326'] = "a comma below",
        ['\u0327'] = "a cedilla",
        ['\u0328'] = "an ogonek",
    };

    private static readonly Dictionary<string, string> Signs = new(StringComparer.Ordinal)
    {
        ["&"] = "and sign",
        ["."] = "full stop",
        [","] = "comma",
        ["-"] = "hyphen",
        ["'"] = "apostrophe",
        ["’"] = "apostrophe",
        ["!"] = "exclamation mark",
        ["?"] = "question mark",
        [":"] = "colon",
        [";"] = "semicolon",
        ["+"] = "plus",
        ["/"] = "slash",
        ["ß"] = "sharp s",
        ["ø"] = "o with a stroke",
        ["Ø"] = "capital O with a stroke",
        ["ł"] = "l with a stroke",
        ["Ł"] = "capital L with a stroke",
        ["ı"] = "i without its dot",
        ["æ"] = "a and e joined",
        ["Æ"] = "capital A and E joined",
        ["œ"] = "o and e joined",
        ["Œ"] = "capital O and E joined",
        ["đ"] = "d with a bar",
        ["Đ"] = "capital D with a bar",
        ["ð"] = "eth",
        ["Ð"] = "capital eth",
        ["þ"] = "thorn",
        ["Þ"] = "capital thorn",
    };

    /// <summary>All letters in order; a space and a new row are told, for they are misread too.</summary>
    public static IReadOnlyList<ProofLetter> Of(string text)
    {
        var proof = new List<ProofLetter>();
        foreach (var row in text.Normalize(NormalizationForm.FormC).Split('\n').Select(r => r.Trim()).Where(r => r.Length > 0))
        {
            if (proof.Count > 0)
            {
                proof.Add(new ProofLetter("\n", "new row"));
            }

            proof.AddRange(Rows.Letters(row).Select(l => new ProofLetter(l, Aloud(l))));
        }

        return proof;
    }

    private static string Aloud(string letter)
    {
        if (Rows.IsSpace(letter))
        {
            return "space";
        }

        if (Signs.TryGetValue(letter, out var sign))
        {
            return sign;
        }

        var parts = letter.Normalize(NormalizationForm.FormD);
        var capital = char.IsUpper(parts[0]) ? "capital " : string.Empty;
        var marks = parts.Skip(1).Select(m => Marks.GetValueOrDefault(m, "an accent")).ToArray();
        return capital + parts[0] + (marks.Length == 0 ? string.Empty : $" with {Measures.Say.List(marks)}");
    }
}
