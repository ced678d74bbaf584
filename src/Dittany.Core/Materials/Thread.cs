using System.Globalization;

namespace Dittany.Core.Materials;

/// <summary>
/// A thread as it is worked with: its family, how many strands of it, and its colour (<c>#rrggbb</c>). It is named by what it is, so that a
/// choice about it means the same whatever else the piece holds.
/// </summary>
public sealed record Thread(string Family, int Ply, string Colour)
{
    /// <summary>Stranded cotton: six strands that part.</summary>
    public const string Cotton = "cotton";

    /// <summary>Whether it is half as many strands, folded double and cut twice as long.</summary>
    public bool Folded => Bundle.Folded(Ply);

    /// <summary>Its colour by our name, or by its code.</summary>
    public string Name => Palette.NameOf(Colour);

    /// <summary>What a program calls it: <c>leaf-green-3</c>, or <c>1a2b3c-3</c> for a colour that is none of ours.</summary>
    public string Id => string.Create(CultureInfo.InvariantCulture, $"{Name.TrimStart('#').Replace(' ', '-')}-{Ply}");
}
