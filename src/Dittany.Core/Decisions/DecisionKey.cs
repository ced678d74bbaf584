namespace Dittany.Core.Decisions;

/// <summary>
/// Names one decision of a job: which it is, and of which element, thread or place, null where it is not of one. The first element of a
/// place is named without itself. As text, in JSON and in a change: <c>words.size:second@sleeve</c>, <c>needle.size:leaf-green-3</c>.
/// </summary>
public readonly record struct DecisionKey(string Id, string? Element = null, string? Thread = null, string? Place = null)
{
    private const char OfMark = ':';

    private const char PlaceMark = '@';

    /// <summary>The one decision that is taken thread by thread.</summary>
    public const string Needle = "needle.size";

    /// <summary>What an element is stitched with.</summary>
    public const string ThreadKind = "thread.kind";

    /// <summary>Whose it is beside its place: an element's or a thread's.</summary>
    public string? Of => Element ?? Thread;

    /// <summary>
    /// Reads what <see cref="ToString"/> writes; any text is some key, and an unknown decision is left to the check of the job.
    /// </summary>
    public static DecisionKey Parse(string text)
    {
        var place = text.LastIndexOf(PlaceMark);
        var head = place < 0 ? text : text[..place];
        var of = head.IndexOf(OfMark, StringComparison.Ordinal);
        var id = of < 0 ? head : head[..of];
        var whose = of < 0 ? null : head[(of + 1)..];
        return new DecisionKey(id, id == Needle ? null : whose, id == Needle ? whose : null, place < 0 ? null : text[(place + 1)..]);
    }

    /// <summary>The same decision without its place.</summary>
    public DecisionKey Anywhere() => this with { Place = null };

    public static implicit operator DecisionKey(string text) => Parse(text);

    public override string ToString() => Of is null && Place is null ? Id
        : $"{Id}{(Of is null ? string.Empty : $"{OfMark}{Of}")}{(Place is null ? string.Empty : $"{PlaceMark}{Place}")}";
}
