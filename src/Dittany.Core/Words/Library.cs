namespace Dittany.Core.Words;

/// <summary>
/// The alphabets a job may name, put together at the edge: an immutable value, so that a plan hangs on what it was given and on nothing
/// that happens to be loaded. An id names its letters for good: nothing else ever stands under it.
/// </summary>
public sealed record Library(IReadOnlyList<IAlphabet> Alphabets)
{
    /// <summary>Our own hands alone.</summary>
    public static Library Ours { get; } = new(Words.Alphabets.Ours);

    /// <summary>
    /// Those everybody has. A plan chooses and offers only among them: what else a maker brought must not change the plan of a job that
    /// does not name it.
    /// </summary>
    public IReadOnlyList<IAlphabet> Everybodys { get; } = Alphabets.Where(a => !Words.Alphabets.IsOwn(a)).ToArray();

    /// <summary>The alphabet of an id; null where there is none.</summary>
    public IAlphabet? Find(string id) => Alphabets.FirstOrDefault(a => string.Equals(a.Id, id, StringComparison.Ordinal));

    /// <summary>This library with more alphabets; one whose id stands there already is left as it is.</summary>
    public Library With(IEnumerable<IAlphabet> more) => new(Alphabets.Concat(more).DistinctBy(a => a.Id, StringComparer.Ordinal).ToArray());
}
