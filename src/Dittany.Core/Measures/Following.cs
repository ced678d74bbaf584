namespace Dittany.Core.Measures;

/// <summary>
/// What follows from members of a record, reckoned once as long as they are the same. A copy with other members reckons its own; as to
/// whether two records are alike it says nothing. Safe for use from several threads.
/// </summary>
internal sealed class Following<TFrom, TWhat> : IEquatable<Following<TFrom, TWhat>>
    where TFrom : notnull
{
    private volatile Known? _known;

    public TWhat Of(TFrom from, Func<TFrom, TWhat> reckon)
    {
        var known = _known;
        if (known is null || !EqualityComparer<TFrom>.Default.Equals(known.From, from))
        {
            _known = known = new Known(from, reckon(from));
        }

        return known.What;
    }

    public bool Equals(Following<TFrom, TWhat>? other) => other is not null;

    public override bool Equals(object? obj) => Equals(obj as Following<TFrom, TWhat>);

    public override int GetHashCode() => 0;

    private sealed record Known(TFrom From, TWhat What);
}
