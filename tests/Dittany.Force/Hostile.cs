using System.Globalization;
using System.Text;

namespace Dittany.Force;

/// <summary>Values that something could fall over: empty, huge, of another script, no numbers, invisible, half a character.</summary>
public static class Hostile
{
    public static T Pick<T>(Random random, params IReadOnlyList<T> among) => among[random.Next(among.Count)];

    public static string Words(Random random) => random.Next(14) switch
    {
        0 => string.Empty,
        1 => "\u200b",
        2 => "Zo\u00ad",
        3 => "\u2007\u2007",
        4 => new string('W', random.Next(1, 120)),
        5 => $"a{new string('\u0301', random.Next(1, 40))}",
        6 => "שלום 12 34",
        7 => "Ada\nBo\nCy\nDi\nEd\nFi\nGo",
        8 => "<script>alert(1)</script>",
        9 => "\ufeff\u0000\u0007",
        10 => string.Concat(Enumerable.Range(0, random.Next(1, 30)).Select(_ => char.ConvertFromUtf32(random.Next(0x20, 0xD7FF)))),
        11 => string.Join(' ', Enumerable.Repeat("Mag", random.Next(1, 40))),
        12 => "١٢٣ ünïcödé Ǆ ﬁ",
        _ => Pick(random, "Zoë", "Mimi", "Great-aunt Philomena", "Bread & Salt", "Nguyễn", "ÅSE"),
    };

    public static string Number(Random random) => random.Next(16) switch
    {
        0 => string.Empty,
        1 => "NaN",
        2 => "1e309",
        3 => "-1e308",
        4 => "∞",
        5 => "１０",
        6 => "٣",
        7 => "0",
        8 => "-0",
        9 => "1,5",
        10 => "9999999999999999999",
        11 => "3 1/2 in",
        12 => "1/0",
        13 => "0.0000001",
        _ => random.Next(-20, 600).ToString(CultureInfo.InvariantCulture),
    };

    public static string Any(Random random) => random.Next(5) switch
    {
        0 => Number(random),
        1 => Pick(random, "2027-03-14", "31.12.9999", "0001-01-01", "Sunday week", "in ٣ days", "29 February", "in 999 months"),
        2 => Pick(random, "tea-towel", "tote", "napkin", "own-1", "moon", "#ff0000", "#ggg", "chain", "true", "../../etc/passwd",
            "a=b&c=d"),
        3 => new string(Pick(random, 'x', '\u0301', '{', '"', '\n'), random.Next(0, 3000)),
        _ => Words(random),
    };

    /// <summary>Bytes with some changed, left out, or doubled.</summary>
    public static byte[] Mutated(Random random, byte[] bytes, int most = 30)
    {
        var copy = bytes.ToList();
        for (var i = random.Next(1, most); i > 0 && copy.Count > 1; i--)
        {
            var at = random.Next(copy.Count);
            switch (random.Next(5))
            {
                case 0: copy[at] = (byte)random.Next(256); break;
                case 1: copy[at] = Pick(random, (byte)0, (byte)255, (byte)127, (byte)128); break;
                case 2: copy.RemoveRange(at, Math.Min(copy.Count - at, random.Next(1, 40))); break;
                case 3: copy.InsertRange(at, copy.Skip(at).Take(random.Next(1, 40)).ToArray()); break;
                default: if (random.Next(20) == 0) { copy.RemoveRange(at, copy.Count - at); } break;
            }
        }

        return [.. copy];
    }

    public static byte[] Mutated(Random random, string text, int most = 12) => Mutated(random, Encoding.UTF8.GetBytes(text), most);
}
