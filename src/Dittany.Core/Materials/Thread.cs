using System.Globalization;

namespace Dittany.Core.Materials;

/// <summary>
/// A thread as it is worked with: its kind, how many of it, and its colour (<c>#rrggbb</c>). It is named by what it is, so that a choice
/// about it means the same whatever else the piece holds.
/// </summary>
public sealed record Thread(ThreadSize Size, string Colour)
{
    public ThreadKind Kind => Size.Kind;

    public int Ply => Size.Ply;

    public string Family => Kind.Id;

    /// <summary>Whether it is half as many, folded double and cut twice as long.</summary>
    public bool Folded => Kind.Folded(Ply);

    /// <summary>Its colour by our name, or by its code.</summary>
    public string Name => Palette.NameOf(Colour);

    /// <summary>
    /// What a program calls it: <c>leaf-green-3</c>, <c>1a2b3c-3</c> for a colour that is none of ours, <c>leaf-green-pearl-8</c> for
    /// another kind than stranded cotton, with how many of it where that is more than one or strands part. Two colours never share it.
    /// </summary>
    public string Id => string.Create(CultureInfo.InvariantCulture, $"{Palette.IdOf(Colour)}{Kinded}");

    private string Kinded => Kind.Id == ThreadKinds.Cotton.Id ? $"-{Ply}" : Ply > 1 || Kind.Parts ? $"-{Kind.Id}-{Ply}" : $"-{Kind.Id}";
}
