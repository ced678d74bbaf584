namespace Dittany.Core.Transfer;

/// <summary>
/// What supports the cloth: stabilisers by their ids, what lies on top first; none at all is empty. Written
/// <c>film-on-top+tear-away-behind</c>,
/// or <c>none</c>.
/// </summary>
public sealed record StabiliserSet(IReadOnlyList<string> Ids)
{
    private const string Nothing = "none";

    public static StabiliserSet None { get; } = new([]);

    /// <summary>The set as it is written; names nobody knows stand in it as they are.</summary>
    public static StabiliserSet Parse(string written) => written == Nothing ? None : new(written.Split('+'));

    public static implicit operator StabiliserSet(string written) => Parse(written);

    public bool Has(string id) => Ids.Contains(id, StringComparer.Ordinal);

    public bool Equals(StabiliserSet? other) => other is not null && Ids.SequenceEqual(other.Ids, StringComparer.Ordinal);

    public override int GetHashCode() => ToString().GetHashCode(StringComparison.Ordinal);

    public override string ToString() => Ids.Count == 0 ? Nothing : string.Join('+', Ids);
}
