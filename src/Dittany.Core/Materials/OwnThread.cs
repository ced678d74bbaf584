namespace Dittany.Core.Materials;

/// <summary>
/// A thread that is hers: what she calls it, its colour (<c>#rrggbb</c>) and its kind, an id of <see cref="ThreadKinds"/>.
/// </summary>
public sealed record OwnThread(string Name, string Hex, string Kind)
{
    /// <summary>More than these are not kept: nobody owns as many.</summary>
    public const int Most = 2000;

    /// <summary>Letters of a name at the most.</summary>
    public const int MostLetters = 60;
}
