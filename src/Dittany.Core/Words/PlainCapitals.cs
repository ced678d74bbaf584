namespace Dittany.Core.Words;

/// <summary>
/// Small plain capitals for dates and short lines: wide, without a flourish, with nothing that closes up early. Small letters are written
/// as capitals. Drawn as told by
/// <see cref="StrokeReading"/>; each line is one letter: its spaces left and right, then its strokes in writing order, y up, capitals 100.
/// </summary>
public static class PlainCapitals
{
    private const string Letters = """
        A 8 8 | M 42 100 L 0 0 | M 42 100 L 84 0 | M 12.6 30 L 71.4 30
        B 14 10 | M 0 100 L 0 0 | M 0 100 L 38 100 E 38 75 25 25 90 -90 L 0 50 | M 38 50 L 42 50 E 42 25 25 25 90 -90 L 0 0
        C 10 9 | E 46 50 46 50 45 315
        D 14 10 | M 0 100 L 0 0 | M 0 100 L 30 100 E 30 50 50 50 90 -90 L 0 0
        E 14 9 | M 0 100 L 0 0 L 60 0 | M 0 100 L 60 100 | M 0 50 L 52 50
        F 14 8 | M 0 100 L 0 0 | M 0 100 L 60 100 | M 0 50 L 50 50
        G 10 14 | E 47 50 47 50 45 360 L 56 50
        H 14 14 | M 0 100 L 0 0 | M 72 100 L 72 0 | M 0 50 L 72 50
        I 14 14 | M 0 100 L 0 0
        J 8 14 | M 46 100 L 46 26 E 23 26 23 26 0 -140
        K 14 8 | M 0 100 L 0 0 | M 64 100 L 0 40 | M 22.4 61 L 68 0
        L 14 8 | M 0 100 L 0 0 L 56 0
        M 14 14 | M 0 0 L 8 100 L 48 16 L 88 100 L 96 0
        N 14 14 | M 0 0 L 0 100 L 72 0 L 72 100
        O 10 10 | E 50 50 50 50 90 450
        P 14 8 | M 0 100 L 0 0 | M 0 100 L 36 100 E 36 71 29 29 90 -90 L 0 42
        Q 10 10 | E 50 50 50 50 90 450 | M 60 26 L 96 -8
        R 14 8 | M 0 100 L 0 0 | M 0 100 L 36 100 E 36 72 28 28 90 -90 L 0 44 | M 34 44 L 68 0
        S 9 9 | M 60 84 C 54 94 46 100 33 100 C 15 100 5 89 5 76 C 5 58 20 54 34 50 C 50 45 66 40 66 23 C 66 9 52 0 34 0 C 19 0 7 6 0 18
        T 8 8 | M 38 100 L 38 0 | M 0 100 L 76 100
        U 14 14 | M 0 100 L 0 36 E 36 36 36 36 180 360 L 72 100
        V 8 8 | M 0 100 L 40 0 L 80 100
        W 8 8 | M 0 100 L 28 0 L 58 88 L 88 0 L 116 100
        X 8 8 | M 0 100 L 72 0 | M 72 100 L 0 0
        Y 8 8 | M 0 100 L 38 46 L 38 0 | M 76 100 L 38 46
        Z 8 8 | M 0 100 L 68 100 L 0 0 L 70 0
        0 10 10 | E 38 50 38 50 90 450
        1 10 14 | M 0 78 L 26 100 L 26 0
        2 9 9 | M 2 76 C 5 92 17 100 32 100 C 50 100 62 89 62 73 C 62 52 38 40 0 0 L 66 0
        3 9 10 | M 4 90 C 11 97 20 100 30 100 C 48 100 58 90 58 77 C 58 62 46 54 28 54 C 50 54 64 44 64 27 C 64 10 49 0 30 0 C 17 0 6 5 0 16
        4 9 9 | M 48 100 L 0 30 L 68 30 | M 48 100 L 48 0
        5 9 10 | M 10 100 L 6 55 C 14 61 23 64 33 64 C 52 64 66 50 66 32 C 66 13 50 0 31 0 C 18 0 7 5 0 14 | M 10 100 L 60 100
        6 10 10 | M 52 99 C 24 86 0 60 0 32 E 33 32 33 32 180 540
        7 9 8 | M 0 100 L 64 100 L 20 0
        8 10 10 | E 34 77 27 23 270 -90 | E 34 27 34 27 90 450
        9 10 10 | E 33 68 33 32 0 360 | M 66 68 C 66 38 44 12 14 0
        . 10 10 | M 0 12 L 0 0
        , 10 10 | M 5 12 L 0 -12
        : 10 10 | M 0 62 L 0 50 | M 0 12 L 0 0
        ; 10 10 | M 5 62 L 5 50 | M 5 12 L 0 -12
        ! 12 12 | M 0 100 L 0 34 | M 0 12 L 0 0
        ? 9 9 | M 0 80 C 2 92 13 100 26 100 C 41 100 52 91 52 78 C 52 58 26 58 26 34 | M 26 12 L 26 0
        ' 9 9 | M 0 100 L 0 80
        ’ 9 9 | M 7 100 L 0 80
        ‘ 9 9 | M 0 100 L 7 80
        ” 9 9 | M 7 100 L 0 80 | M 29 100 L 22 80
        “ 9 9 | M 0 100 L 7 80 | M 22 100 L 29 80
        „ 9 9 | M 7 10 L 0 -10 | M 29 10 L 22 -10
        - 10 10 | M 0 50 L 34 50
        – 10 10 | M 0 50 L 52 50
        — 10 10 | M 0 50 L 88 50
        ( 10 8 | M 20 106 C -7 76 -7 14 20 -16
        ) 8 10 | M 0 106 C 27 76 27 14 0 -16
        / 8 8 | M 48 106 L 0 -8
        & 9 8 | M 78 0 C 54 26 18 58 16 78 C 15 92 24 100 36 100 C 48 100 56 92 56 81 C 56 56 0 56 0 26 C 0 10 13 0 30 0 C 52 0 67 16 75 42
        + 10 10 | M 28 78 L 28 22 | M 0 50 L 56 50
        = 10 10 | M 0 64 L 54 64 | M 0 36 L 54 36
        * 9 9 | M 20 100 L 20 60 | M 2.7 90 L 37.3 70 | M 37.3 90 L 2.7 70
        # 9 9 | M 30 90 L 18 10 | M 64 90 L 52 10 | M 4 66 L 78 66 | M 4 34 L 78 34
        % 9 9 | E 20 76 20 24 90 450 | M 86 100 L 16 0 | E 82 24 20 24 90 450
        · 10 10 | M 0 56 L 0 44
        ♥ 10 10 | M 38 16 C 22 30 0 46 0 66 C 0 80 9 88 19 88 C 28 88 35 82 38 73 C 41 82 48 88 57 88 C 67 88 76 80 76 66 C 76 46 54 30 38 16
        ★ 10 10 | M 38 92 L 48.6 64.6 L 78 63.0 L 55.1 44.4 L 62.7 16 L 38 32 L 13.3 16 L 20.9 44.4 L -2 63.0 L 27.4 64.6 L 38 92
        Æ 8 8 | M 58 100 L 0 0 | M 58 100 L 58 0 L 112 0 | M 58 100 L 110 100 | M 58 50 L 104 50 | M 17.4 30 L 58 30
        Œ 10 8 | E 50 50 50 50 47.16 312.84 | M 84 100 L 84 0 L 138 0 | M 84 100 L 138 100 | M 84 50 L 130 50
        Ø 10 10 | E 50 50 50 50 90 450 | M 96 106 L 4 -6
        Đ 14 10 | M 0 100 L 0 0 | M 0 100 L 30 100 E 30 50 50 50 90 -90 L 0 0 | M -14 50 L 26 50
        Ð 14 10 | M 0 100 L 0 0 | M 0 100 L 30 100 E 30 50 50 50 90 -90 L 0 0 | M -14 50 L 26 50
        Þ 14 8 | M 0 100 L 0 0 | M 0 80 L 36 80 E 36 51 29 29 90 -90 L 0 22
        Ħ 14 14 | M 0 100 L 0 0 | M 72 100 L 72 0 | M 0 46 L 72 46 | M -10 76 L 82 76
        Ĳ 14 14 | M 0 100 L 0 0 | M 74 100 L 74 26 E 51 26 23 26 0 -140
        Ł 14 8 | M 0 100 L 0 0 L 56 0 | M -14 38 L 22 62
        Ŋ 14 14 | M 0 100 L 0 0 | M 0 68 C 9 88 20 100 38 100 C 58 100 72 88 72 68 L 72 -6 E 49 -6 23 23 0 -90
        Ŧ 8 8 | M 38 100 L 38 0 | M 0 100 L 76 100 | M 16 52 L 60 52
        ẞ 14 9 | M 0 0 L 0 74 C 0 90 12 100 30 100 L 58 100 L 34 60 C 52 60 64 48 64 30 C 64 12 50 0 32 0 C 26 0 20 2 16 6
        """;

    public static IAlphabet Alphabet { get; } = new Capitals();

    private sealed class Capitals() : DrawnHand("plain-capitals", "Small plain capitals",
        "Wide capitals and figures without a flourish: dates and short lines stay open when they are small.", Letters, UprightHand.Marks)
    {
        private static readonly Dictionary<string, string> AsCapital = new(StringComparer.Ordinal)
        {
            ["ß"] = "ẞ",
            ["ı"] = "I",
            ["ȷ"] = "J",
            ["ŉ"] = "N",
            ["ſ"] = "S",
            ["ĸ"] = "K"
        };

        /// <summary>A small letter is written as its capital, and keeps its own name.</summary>
        protected override Glyph? DrawnAs(string letter)
        {
            if (base.DrawnAs(letter) is { } drawn)
            {
                return drawn;
            }

            var capital = AsCapital.GetValueOrDefault(letter, letter.ToUpperInvariant());
            return capital == letter || base.DrawnAs(capital) is not { } glyph ? null : glyph with { Letter = letter };
        }
    }
}
