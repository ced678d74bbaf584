using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Core.Jobs;

/// <summary>What a motif may have.</summary>
public static class MotifLimits
{
    /// <summary>Parts a drawing of her own may have: what a page can show and a plan can order.</summary>
    public const int MostParts = 2000;
}

/// <summary>Finds what makes no sense in a motif that is asked for.</summary>
internal static class MotifCheck
{
    public static void Check(MotifElement motif, string at, List<ValidationError> faults)
    {
        if (motif.Id.Length is 0 or > 60)
        {
            faults.Add(new($"{at}/id", "An id is 1 to 60 characters long.", "Use a short name such as \"sprig\"."));
        }

        if (motif.Drawing is { } own)
        {
            ValueChecks.Text($"{at}/drawing/name", own.Name, 80, faults);
            if (own.Figure.Parts.Count is 0 or > MotifLimits.MostParts)
            {
                faults.Add(new($"{at}/drawing/parts", own.Figure.Parts.Count == 0 ? "The drawing has no parts."
                    : $"The drawing has {own.Figure.Parts.Count} parts, and {MotifLimits.MostParts} is the most.",
                    "Give between 1 and 2000 lines, shapes and dots."));
            }
            else if (own.Drawn.Against() is { } much)
            {
                faults.Add(new($"{at}/drawing/parts", much.Detail, much.Try));
            }
            else if (Math.Max(own.Figure.Width, own.Figure.Height) < 1e-6 || own.Drawn.Figure.Parts.Count == 0)
            {
                faults.Add(new($"{at}/drawing/parts", "The drawing has no size: all of it lies in one point.",
                    "Draw something that is wider or higher than a point."));
            }
        }
        else
        {
            CheckChoice($"{at}/motif", motif.Motif, MotifLibrary.Ids, "motif", faults);
        }

        CheckChoice($"{at}/arrangement", motif.Arrangement, Arranging.Ids, "arrangement of motifs", faults);
        CheckChoice($"{at}/stitch", motif.Stitch, Book.Lines.Select(s => s.Id), "stitch that draws lines", faults);
        ValueChecks.Range($"{at}/widthMm", motif.WidthMm, 2, MotifSizes.MostMm, "mm", faults);
        ValueChecks.Range($"{at}/heightMm", motif.HeightMm, 2, MotifSizes.MostMm, "mm", faults);
        ValueChecks.Range($"{at}/count", motif.Count, 1, Arranging.MostCopies, "copies", faults);
        if (motif is { Arrangement: "pair", Count: { } many and not 2 })
        {
            faults.Add(new($"{at}/count", $"A pair is two, and {many} are wished.", "Leave count out, or take a row or a ring."));
        }

        ValueChecks.Range($"{at}/parts", motif.Parts, 1, 80, "petals or leaves", faults);
        ValueChecks.Thread(at, motif.Thread, motif.Strands, motif.Stitch, null, faults);
        ValueChecks.Range($"{at}/turnDegrees", motif.TurnDegrees, -360, 360, "degrees", faults);
        ValueChecks.Range($"{at}/leanDegrees", motif.LeanDegrees, -45, 45, "degrees", faults);
        ValueChecks.Range($"{at}/wobblePercent", motif.WobblePercent, 0, 100 * Motif.MostWobble, "%", faults);
        ValueChecks.Range($"{at}/seed", motif.Seed, 0, 1_000_000, "", faults);
        ValueChecks.Colour($"{at}/colour", motif.Colour, true, faults);
        ValueChecks.Centre(motif.CentreMm, at, faults);
        CheckLoosely(motif, at, faults);
        CheckByPart(motif.ByPart, at, motif: true, motif.Thread, faults);
        CheckLayer(motif.Layer, at, faults);
        CheckCraft(motif.Craft, at, faults);
    }

    /// <summary>What is set out by eye: within what a hand would do, and of copies that there are.</summary>
    private static void CheckLoosely(MotifElement motif, string at, List<ValidationError> faults)
    {
        if (motif.Loosely is not { } how)
        {
            return;
        }

        ValueChecks.Range($"{at}/loosely/swayPercent", how.SwayPercent, 0, Loosely.MostSway, "%", faults);
        ValueChecks.Range($"{at}/loosely/unevenPercent", how.UnevenPercent, 0, Loosely.MostUneven, "%", faults);
        ValueChecks.Range($"{at}/loosely/gapAfter", how.GapAfter, 1, Arranging.MostCopies, "motifs", faults);
        ValueChecks.Range($"{at}/loosely/gapPercent", how.GapPercent, 0, Loosely.MostGap, "%", faults);
        for (var i = 0; i < how.Pushed.Count; i++)
        {
            var here = $"{at}/loosely/pushed/{i.ToString(System.Globalization.CultureInfo.InvariantCulture)}";
            ValueChecks.Range($"{here}/copy", how.Pushed[i].Copy, 0, Arranging.MostCopies, "", faults);
            ValueChecks.Range($"{here}/by/0", how.Pushed[i].By.X, -Loosely.MostPushed, Loosely.MostPushed, "motifs", faults);
            ValueChecks.Range($"{here}/by/1", how.Pushed[i].By.Y, -Loosely.MostPushed, Loosely.MostPushed, "motifs", faults);
        }

        if (how.Pushed.Count > Arranging.MostCopies)
        {
            faults.Add(new($"{at}/loosely/pushed", $"{how.Pushed.Count} motifs are pushed, and {Arranging.MostCopies} is the most there are.", "Leave some out."));
        }
    }

    /// <summary>How many layers there may be to each side of the usual one.</summary>
    private const int MostLayers = 99;

    public static void CheckCraft(string? craft, string at, List<ValidationError> faults) =>
        CheckChoice($"{at}/craft", craft, Crafts.AllCrafts.Ids, "craft", faults);

    public static void CheckLayer(int? layer, string at, List<ValidationError> faults) =>
        ValueChecks.Range($"{at}/layer", layer, -MostLayers, MostLayers, string.Empty, faults);

    /// <summary>Wishes for letters: each for one that is there and is no blank.</summary>
    public static void CheckLetters(TextElement asked, string at, List<ValidationError> faults)
    {
        if (asked.Letters.Count > MostWishes)
        {
            faults.Add(new($"{at}/letters", $"There are wishes for {asked.Letters.Count} letters, and {MostWishes} is the most.",
                "Say it once for the whole word."));
            return;
        }

        var letters = Rows.Letters(asked.Text.ReplaceLineEndings(" "));
        for (var i = 0; i < asked.Letters.Count; i++)
        {
            var here = $"{at}/letters/{i.ToString(System.Globalization.CultureInfo.InvariantCulture)}";
            var letter = asked.Letters[i];
            if (letter.Index < 0 || letter.Index >= letters.Count)
            {
                faults.Add(new($"{here}/index", $"There is no letter {letter.Index} in “{asked.Text.ReplaceLineEndings(" ")}”.",
                    $"Count from 0, blanks counted: the last one is {letters.Count - 1}."));
            }
            else if (Rows.IsSpace(letters[letter.Index]))
            {
                faults.Add(new($"{here}/index", $"At {letter.Index} there is a blank.", "Give the number of a letter."));
            }

            CheckChoice($"{here}/stitch", letter.Stitch, Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(f => f.Info.Id)),
                "stitch that draws lines or fills areas", faults);
            ValueChecks.Thread(here, null, letter.Strands, letter.Stitch, asked.Thread, faults);
            ValueChecks.Colour($"{here}/colour", letter.Colour, true, faults);
        }
    }

    /// <summary>Colours one fill goes through at the most (common practice).</summary>
    private const int MostColours = 4;

    /// <summary>Wishes for parts that one element may have.</summary>
    private const int MostWishes = 200;

    /// <summary>Wishes for parts: a role by its name, and a stitch that draws lines or fills areas.</summary>
    public static void CheckByPart(IReadOnlyList<PartAsked> parts, string at, bool motif, string? whole, List<ValidationError> faults)
    {
        if (parts.Count > MostWishes)
        {
            faults.Add(new($"{at}/parts", $"There are wishes for {parts.Count} parts, and {MostWishes} is the most.",
                "Say it once for a role: it holds for all copies."));
            return;
        }

        for (var i = 0; i < parts.Count; i++)
        {
            var here = $"{at}/parts/{i.ToString(System.Globalization.CultureInfo.InvariantCulture)}";
            ValueChecks.Text($"{here}/role", parts[i].Role, 40, faults);
            if (parts[i].Stitch == PartAsked.Beads && !motif)
            {
                faults.Add(new($"{here}/stitch", "Beads for a part hold for motifs, and this is a wording.",
                    "Take the craft 'beads' for all of it, or a motif beside it."));
            }
            else
            {
                CheckChoice($"{here}/stitch", parts[i].Stitch, Book.Lines.Select(s => s.Id).Concat(Book.Fills.Select(f => f.Info.Id))
                    .Append(PartAsked.Beads), "stitch that draws lines or fills areas", faults);
            }

            ValueChecks.Range($"{here}/copy", parts[i].Copy, 0, Arranging.MostCopies, string.Empty, faults);
            ValueChecks.Thread(here, parts[i].Thread, parts[i].Strands, parts[i].Stitch, whole, faults);
            ValueChecks.Colour($"{here}/colour", parts[i].Colour, true, faults);
            for (var c = 0; c < parts[i].Colours.Count; c++)
            {
                ValueChecks.Colour($"{here}/colours/{c.ToString(System.Globalization.CultureInfo.InvariantCulture)}",
                    parts[i].Colours[c], true, faults);
            }

            if (parts[i].Colours.Count is 1 or > MostColours)
            {
                faults.Add(new($"{here}/colours", $"There {(parts[i].Colours.Count == 1 ? "is 1 colour" : $"are {parts[i].Colours.Count} colours")} "
                    + "for a fill that goes from one to the next.", "Name two, three or four, the one at the foot first."));
            }

            CheckDirection(here, parts[i], motif, faults);
        }
    }

    /// <summary>Lines that tell a direction, and places of each, at the most; how far they may reach out, in motifs.</summary>
    private const int MostLines = 40;

    private const int MostPlaces = 60;

    private const double MostOut = 4;

    private static void CheckDirection(string here, PartAsked part, bool motif, List<ValidationError> faults)
    {
        ValueChecks.Range($"{here}/directionDegrees", part.DirectionDegrees, -360, 360, "degrees", faults);
        CheckChoice($"{here}/direction", part.Direction, Direction.Known.Select(k => k.Id), "direction", faults);
        if ((part.DirectionDegrees is null ? 0 : 1) + (part.Direction is null ? 0 : 1) + (part.DirectionLines.Count == 0 ? 0 : 1) > 1)
        {
            faults.Add(new($"{here}/direction", "How the stitches lie is said twice over.",
                "Say one of 'direction', 'directionDegrees' and 'directionLines', and leave the others out."));
        }

        if (part.DirectionLines.Count > 0 && !motif)
        {
            faults.Add(new($"{here}/directionLines", "Lines for the direction hold for motifs, and this is a wording.",
                "Say it in degrees, or 'along'."));
        }
        else if (part.DirectionLines.Count > MostLines || part.DirectionLines.Any(l => l.Count is < 2 or > MostPlaces))
        {
            faults.Add(new($"{here}/directionLines", $"There are {part.DirectionLines.Count} lines of "
                + $"{part.DirectionLines.Min(l => l.Count)} to {part.DirectionLines.Max(l => l.Count)} places.",
                $"Give up to {MostLines} lines of 2 to {MostPlaces} places each."));
        }
        else if (part.DirectionLines.Any(l => l.Any(p => Math.Abs(p.X) > MostOut || Math.Abs(p.Y) > MostOut)))
        {
            faults.Add(new($"{here}/directionLines", "A line lies far outside the motif.",
                "Give shares of the motif's larger side from its middle: [-0.5, 0] to [0.5, 0] goes right across."));
        }
    }

    /// <summary>
    /// A stitch of a drawing is this long at the most where nobody says otherwise, mm: so what is reckoned here is less than what it comes
    /// to.
    /// </summary>
    private const double UsualStitchMm = 2.5;

    /// <summary>
    /// About how many stitches a motif comes to, its copies counted: the length of its lines at the height it is wished in, or the most it
    /// is given where none is. For a motif without faults; laid out by its box alone, so that two thousand parts sixty times over are told
    /// without drawing them.
    /// </summary>
    public static double StitchesOf(MotifElement motif)
    {
        var one = (motif.Drawing?.Drawn.Figure ?? MotifLibrary.Find(motif.Motif).Sure().Draw(
            new MotifShape(motif.Parts, (motif.LeanDegrees ?? 0) * Math.PI / 180, motif.Mirrored ?? false, 0, 0))).Centred();
        var (wide, high) = (Math.Max(one.Width, 1e-9), Math.Max(one.Height, 1e-9));
        var arrangement = motif.Arrangement ?? "one";
        var copies = arrangement == "one" ? 1 : Math.Clamp(motif.Count ?? Arranging.UsualCount(arrangement),
            Arranging.LeastCount(arrangement), Arranging.MostCopies) + (motif.Middle == true ? 1 : 0);
        var aspect = motif is { WidthMm: { } w, HeightMm: { } h } ? w / h : 1;
        var whole = arrangement == "scatter" ? Arranging.ScatterBox(copies, aspect) : Laid();
        var size = Math.Max(wide, high);
        var (widest, highest) = (motif.WidthMm ?? double.PositiveInfinity, motif.HeightMm
            ?? (motif.WidthMm is null ? MotifSizes.UsualMostMm : double.PositiveInfinity));

        // Lay draws one motif a unit large: so many mm is that unit.
        var unitMm = Math.Min(widest / Math.Max(1e-9, whole.Width), highest / Math.Max(1e-9, whole.Height));
        var lengthMm = one.Parts.Where(p => p.Kind != FigureKind.Dot).Sum(p => Polyline.Length(p.Line)) / size * unitMm;
        return copies * (lengthMm / UsualStitchMm);

        (double Width, double Height) Laid()
        {
            Pt[] box = [new(-wide / 2, -high / 2), new(wide / 2, -high / 2), new(wide / 2, high / 2), new(-wide / 2, high / 2)];
            var frame = new Figure([new FigurePart("outline", FigureKind.Shape,
                new Stroke([.. box.Select((p, i) => Curve.Line(p, box[(i + 1) % 4]))], true))]);
            var laid = Arranging.Lay(frame, new Repeat(arrangement, copies, motif.Middle ?? false, aspect));
            return (laid.Width, laid.Height);
        }
    }

    public static void CheckChoice(string at, string? value, IEnumerable<string> known, string what, List<ValidationError> faults)
    {
        if (value is not null && !known.Contains(value, StringComparer.Ordinal))
        {
            faults.Add(new(at, $"There is no {what} '{value}'.", $"Use {ValueChecks.Either(known)}, or leave it out."));
        }
    }
}
