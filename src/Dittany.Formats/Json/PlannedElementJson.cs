using System.Text.Json;
using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Planning;
using Dittany.Core.Stitches.Needle;
using static Dittany.Formats.Json.PlanJson;

namespace Dittany.Formats.Json;

/// <summary>
/// One wording or motif of a plan as <c>dittany.plan/1</c> writes it: how it came out, its concerns, and its parts with every stitch.
/// </summary>
internal static class PlannedElementJson
{
    public static void Write(Utf8JsonWriter w, PlannedElement e, bool moves = false)
    {
        w.WriteStartObject();
        w.WriteString("id", e.Id);
        w.WriteString("kind", e.IsMotif ? "motif" : "text");
        w.WriteString("text", e.Text);
        w.WriteString("arrangement", e.Arrangement);
        if (e.IsMotif)
        {
            w.WriteString("motif", e.Motif);
            Mm(w, "heightMm", e.CapHeightMm);
        }
        else
        {
            Texts(w, "rows", e.Rows);
            w.WriteString("alphabet", e.Alphabet);
            Mm(w, "capHeightMm", e.CapHeightMm);
        }

        JobJson.Number(w, "layer", e.Layer);
        JobJson.Text(w, "craft", e.Craft);
        Point(w, "centreMm", e.CentreMm);
        w.WriteStartObject("boxMm");
        Mm(w, "x", e.BoxMm.X);
        Mm(w, "y", e.BoxMm.Y);
        Mm(w, "width", e.BoxMm.Width);
        Mm(w, "height", e.BoxMm.Height);
        w.WriteEndObject();
        Mm(w, "lineWidthMm", e.LineWidthMm);
        w.WriteStartObject("fit");
        Mm(w, e.IsMotif ? "largestHeightMm" : "largestCapHeightMm", e.LargestCapHeightMm);
        Mm(w, "overflowsMm", e.OverflowsMm);
        w.WriteEndObject();
        w.WriteStartObject("legibility");
        w.WriteBoolean("reads", e.Reads);
        if (e.Letters is { } letters)
        {
            w.WriteStartArray("letters");
            foreach (var letter in letters)
            {
                w.WriteStartObject();
                w.WriteString("letter", letter.Letter);
                if (letter.OpenMm is { } open)
                {
                    Mm(w, "openMm", open);
                }

                Mm(w, "wantedMm", letter.WantedMm);
                w.WriteBoolean("reads", letter.Reads);
                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteEndObject();
        w.WriteStartArray("concerns");
        foreach (var concern in e.Concerns)
        {
            Write(w, concern);
        }

        w.WriteEndArray();
        w.WriteStartArray("parts");
        foreach (var part in e.Parts)
        {
            Write(w, part, moves);
        }

        w.WriteEndArray();
        w.WriteEndObject();
    }

    private static void Write(Utf8JsonWriter w, Concern concern)
    {
        w.WriteStartObject();
        w.WriteString("what", concern.What);
        JobJson.Text(w, "letter", concern.Letter);
        if (concern.ByMm is { } by && double.IsFinite(by))
        {
            Mm(w, "byMm", by);
        }

        w.WriteString("text", concern.Text);
        w.WriteStartArray("remedies");
        foreach (var remedy in concern.Remedies)
        {
            w.WriteStartObject();
            JobJson.Number(w, "capHeightMm", remedy.CapHeightMm);
            JobJson.Number(w, "strands", remedy.Strands);
            JobJson.Text(w, "colour", remedy.Colour);
            JobJson.Text(w, "stitch", remedy.Stitch);
            JobJson.Number(w, "rows", remedy.Rows);
            JobJson.Text(w, "alphabet", remedy.Alphabet);
            JobJson.Number(w, "heightMm", remedy.HeightMm);
            JobJson.Number(w, "radiusMm", remedy.RadiusMm);
            if (remedy.CentreMm is { } centre)
            {
                PlanJson.Point(w, "centreMm", centre);
            }

            w.WriteEndObject();
        }

        w.WriteEndArray();
        w.WriteEndObject();
    }

    private static void Write(Utf8JsonWriter w, Part part, bool moves)
    {
        w.WriteStartObject();
        w.WriteString("id", part.Id);
        w.WriteString("shape", part.Shape);
        w.WriteString("role", part.Role);
        JobJson.Text(w, "letter", part.Letter == part.Role ? null : part.Letter);
        JobJson.Number(w, "layer", part.Layer == 0 ? null : part.Layer);
        w.WriteString("stitch", part.Stitch);
        w.WriteNumber("strands", part.Strands);
        w.WriteString("colour", part.Colour);
        WriteThread(w, part.Thread);
        if (part.Tones.Count > 0)
        {
            w.WriteStartArray("tones");
            foreach (var tone in part.Tones)
            {
                w.WriteStringValue(tone);
            }

            w.WriteEndArray();
        }

        Mm(w, "lineWidthMm", part.LineWidthMm);
        if (part.Filling is { } filling)
        {
            w.WriteStartArray("shapeMm");
            foreach (var ring in filling.RingsMm)
            {
                w.WriteStartArray();
                foreach (var p in ring)
                {
                    Point(w, p);
                }

                w.WriteEndArray();
            }

            w.WriteEndArray();
            Mm(w, "areaMm2", filling.AreaMm2);
            Mm(w, "coverage", filling.Coverage);
            JobJson.Number(w, "directionDegrees", filling.DirectionDegrees);
            JobJson.Text(w, "direction", filling.Lies switch
            {
                null => null,
                DirectionKind.ByLines => "by-lines",
                var lies => Direction.Known.First(k => k.Kind == lies).Id,
            });
        }
        else
        {
            Points(w, "lineMm", part.LineMm);
        }

        w.WriteBoolean("closed", part.Closed);
        w.WriteStartArray("stitches");
        foreach (var stitch in part.Stitches)
        {
            w.WriteStartObject();
            Point(w, "fromMm", stitch.FromMm);
            Point(w, "toMm", stitch.ToMm);
            w.WriteString("kind", Lower(stitch.Shape));
            if (stitch.PathMm is { } path)
            {
                Points(w, "pathMm", path);
            }

            if (stitch.Side != 0)
            {
                w.WriteString("side", stitch.Side > 0 ? "right" : "left");
            }

            w.WriteEndObject();
        }

        w.WriteEndArray();
        if (moves)
        {
            Moves(w, part);
        }

        w.WriteEndObject();
    }

    /// <summary>What the needle does in each move, by its name in the file.</summary>
    public static IReadOnlyDictionary<MoveKind, string> MoveNames { get; } = new Dictionary<MoveKind, string>
    {
        [MoveKind.UpAt] = "up",
        [MoveKind.UpThrough] = "up-through",
        [MoveKind.DownAt] = "down",
        [MoveKind.HoldAt] = "hold",
        [MoveKind.Lay] = "lay",
        [MoveKind.SlideUnder] = "under",
        [MoveKind.Wrap] = "wrap",
    };

    /// <summary>The needle's way, stitch by stitch: what it does, where, and how often the thread goes round.</summary>
    private static void Moves(Utf8JsonWriter w, Part part)
    {
        w.WriteStartArray("moves");
        foreach (var stitch in part.Stitches)
        {
            w.WriteStartArray();
            foreach (var move in stitch.Moves())
            {
                w.WriteStartObject();
                w.WriteString("move", MoveNames[move.Kind]);
                Point(w, "atMm", move.At);
                if (move.Turns != 0)
                {
                    Mm(w, "turns", move.Turns);
                }

                w.WriteEndObject();
            }

            w.WriteEndArray();
        }

        w.WriteEndArray();
    }
}
