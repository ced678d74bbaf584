namespace Dittany.Core.Materials;

/// <summary>A tone of a variegated thread: how much of the repeat it takes, and how much of it is paled, 0 to 1.</summary>
public sealed record Tone(double Share, double Paled);

/// <summary>How a variegated thread changes along its length: from its own colour to a pale one and back, again and again.</summary>
public static class Variegation
{
    /// <summary>From a colour to the next like it, mm of thread (from memory; skeins differ, and the one in hand is what counts).</summary>
    public const double RepeatMm = 240;

    /// <summary>The tones of one repeat in their order (from memory).</summary>
    public static IReadOnlyList<Tone> Tones { get; } = [new(0.3, 0), new(0.2, 0.3), new(0.3, 0.55), new(0.2, 0.3)];

    /// <summary>Which tone lies so far along the thread, mm from where a repeat begins.</summary>
    public static int ToneAt(double mm)
    {
        var at = mm / RepeatMm;
        at -= Math.Floor(at);
        var upTo = 0.0;
        for (var i = 0; i < Tones.Count - 1; i++)
        {
            upTo += Tones[i].Share;
            if (at < upTo)
            {
                return i;
            }
        }

        return Tones.Count - 1;
    }

    /// <summary>The colour that a thread of this colour has so far along, <c>#rrggbb</c>.</summary>
    public static string At(string hex, double mm) => Colour.Parse(hex).Paled(Tones[ToneAt(mm)].Paled).ToString();
}
