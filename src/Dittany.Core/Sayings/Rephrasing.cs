using Dittany.Core.Measures;
using Dittany.Core.Motifs;

namespace Dittany.Core.Sayings;

/// <summary>How to say a thing so that it cannot be taken for another.</summary>
internal static class Rephrasing
{
    public static Answer Of(Bit bit, string text) => bit.Label switch
    {
        Label.Words => new($"“{text}”", "words to stitch"),
        Label.Motif => new(bit.Name == "many" ? text : Say.A(MotifLibrary.Find(bit.Id)?.Name ?? text), $"the motif {MotifLibrary.Find(bit.Id)?.Name ?? text}"),
        Label.Colour => new($"{bit.Name} thread", $"the colour {bit.Name}"),
        Label.Stitch or Label.Fill => new(bit.Name.EndsWith("stitch", StringComparison.Ordinal) || bit.Name.Contains(' ', StringComparison.Ordinal) ? bit.Name : $"{bit.Name} stitch", $"the stitch: {bit.Name}"),
        Label.Thread => new(bit.Name, $"the thread: {bit.Name}"),
        Label.Item => new($"on {Say.A(bit.Name)}", $"the item: {bit.Name}"),
        Label.Whom => new(text, $"whom it is for: {text}"),
        Label.Day => new(text, $"the day: {bit.Name}"),
        Label.Craft => new(text, $"the craft: {bit.Name}"),
        Label.Style => new($"{bit.Name} letters", $"the lettering style {bit.Name}"),
        Label.Zone => new($"on the {text}", $"where it goes: {text}"),
        _ => new(text, bit.Name.Length > 0 ? bit.Name : text),
    };
}
