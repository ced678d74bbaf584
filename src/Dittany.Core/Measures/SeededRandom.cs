namespace Dittany.Core.Measures;

/// <summary>Chance that is the same on every machine for the same seed: a shift register (Marsaglia 2003).</summary>
public sealed class SeededRandom(int seed)
{
    private ulong _state = (ulong)((seed * 2654435761L) + 88172645463325252L);

    /// <summary>The next number, from 0 up to 1.</summary>
    public double Next()
    {
        _state ^= _state << 13;
        _state ^= _state >> 7;
        _state ^= _state << 17;
        return (_state >> 11) / (double)(1UL << 53);
    }

    /// <summary>The next number between two.</summary>
    public double Between(double least, double most) => least + ((most - least) * Next());
}
