using System.Text.Json;
using Dittany.Core.Materials;
using Dittany.Core.Operations;

namespace Dittany.Formats.Json;

/// <summary>What the operations of a plan do to the piece, and what it bears for good, as JSON.</summary>
internal static class EffectsJson
{
    /// <summary>What comes to the piece at an operation, and what it leaves there: only what there is.</summary>
    public static void Write(Utf8JsonWriter w, Operation operation)
    {
        if (operation.Iron is { } iron)
        {
            w.WriteStartObject("iron");
            w.WriteNumber("mostC", iron.MostC);
            w.WriteBoolean("steam", iron.Steam);
            w.WriteEndObject();
        }

        if (operation.Water is { } water)
        {
            w.WriteStartObject("water");
            w.WriteNumber("mostC", water.MostC);
            w.WriteBoolean("soaks", water.Soaks);
            w.WriteEndObject();
        }

        if (operation.Leaves.Count > 0)
        {
            PlanJson.Texts(w, "leaves", operation.Leaves.Select(Names.Of));
        }

        if (operation.Clears.Count > 0)
        {
            PlanJson.Texts(w, "clears", operation.Clears.Select(Names.Of));
        }
    }

    /// <summary>What the piece bears for good, as numbers.</summary>
    public static void Write(Utf8JsonWriter w, Care care)
    {
        w.WriteStartObject("bears");
        w.WriteString("clean", Names.Of(care.Clean));
        w.WriteNumber("washC", care.Washed ? care.WashC : 0);
        w.WriteNumber("ironC", care.IronC);
        w.WriteBoolean("steam", care.Steam && care.IronC > 0);
        w.WriteNumber("firstWashAfterDays", care.FirstWashAfterDays);
        w.WriteEndObject();
    }
}
