using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// What is green in a drawing: stems and leaves, and veins where no outline is drawn round them; as long as she chose no colour and our
/// leaf green reads on the cloth.
/// </summary>
internal sealed record MotifColours(string Main, string? Green, bool OutlinedVeins)
{
    /// <summary>
    /// Colours of a drawing whose main colour is settled; <paramref name="chosen"/> says that it was she who chose it, and then all is in
    /// it.
    /// </summary>
    public static MotifColours Of(IReadOnlyList<FigurePart> parts, string main, bool chosen, Cloth cloth)
    {
        var green = chosen || parts.All(p => p.Role != "leaf") ? null
            : Legibility.Colours(cloth).Reading.FirstOrDefault(c => c.Id == "leaf")?.Hex;
        return new MotifColours(main, green == main ? null : green, parts.Any(p => p.Role == "outline"));
    }

    /// <summary>The colour of a role.</summary>
    public string For(string role) => Green is { } green && (role is "stem" or "leaf" || (role == "vein" && !OutlinedVeins)) ? green : Main;
}
