namespace Dittany.Core.Operations;

/// <summary>
/// What an operation is called by a program: its name, the element it is on where it is one's own, and the place of the piece where that
/// has several. Written <c>stencil</c>, <c>sun/stencil</c>, <c>mark@cuff</c>.
/// </summary>
public readonly record struct OpId(string Name, string? Element = null, string? Place = null)
{
    /// <summary>Between the element and the name.</summary>
    public const char OfElement = '/';

    /// <summary>Between the name and the place.</summary>
    public const char AtPlace = '@';

    /// <summary>The id as it is written.</summary>
    public static OpId Parse(string written)
    {
        var (rest, place) = written.LastIndexOf(AtPlace) is > 0 and var at ? (written[..at], written[(at + 1)..]) : (written, null);
        return rest.LastIndexOf(OfElement) is > 0 and var of ? new OpId(rest[(of + 1)..], rest[..of], place) : new OpId(rest, null, place);
    }

    public static implicit operator OpId(string written) => Parse(written);

    public override string ToString() =>
        $"{(Element is null ? string.Empty : $"{Element}{OfElement}")}{Name}{(Place is null ? string.Empty : $"{AtPlace}{Place}")}";
}
