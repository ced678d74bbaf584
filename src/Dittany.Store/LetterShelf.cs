using Dittany.Core.Words;
using Dittany.Formats.Alphabets;

namespace Dittany.Store;

/// <summary>
/// The alphabets that are at hand now: what ships, and what the maker brought. Each look at it is a library of its own that never changes.
/// Safe to be shared between threads.
/// </summary>
public sealed class LetterShelf
{
    private readonly Lock _one = new();
    private volatile Library _now = ShippedAlphabets.Library;

    public Library Now => _now;

    /// <summary>Puts alphabets beside those that are there; one whose id is there already is left as it is.</summary>
    public void Add(IEnumerable<IAlphabet> alphabets)
    {
        lock (_one)
        {
            _now = _now.With(alphabets);
        }
    }
}
