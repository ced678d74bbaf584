using System.Globalization;
using System.Text;
using Dittany.Core.Decisions;
using Dittany.Core.Finishing;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Operations;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Threads;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Jobs;

/// <summary>
/// Finds everything in a job that makes no sense, all at once. What merely does not fit is no fault: it is a concern of the plan.
/// </summary>
public static class JobCheck
{
    /// <summary>A letter averages this many capital heights of line (from memory).</summary>
    private const double LineOfALetter = 2.8;

    /// <summary>How far width to height may be from any size of the form: beyond that one of the two was misread (from memory).</summary>
    private const double MostOutOfShape = 1.9;

    private static IReadOnlyList<string> Wearers => Wearing.Ids;

    /// <summary>All faults, in the order of the job; empty when a plan can be made.</summary>
    public static IReadOnlyList<ValidationError> Faults(Job job, Workshop workshop, Library library)
    {
        var faults = new List<ValidationError>();
        CheckItem(job, faults);
        if (job.Title is { } title)
        {
            ValueChecks.Text("#/title", title, JobLimits.MostTitle, faults);
        }

        var many = job.Elements.Count;
        if (many is 0 or > JobLimits.MostElements)
        {
            faults.Add(new("#/elements", many == 0 ? "There is nothing to write."
                : $"There are {many} elements, and {JobLimits.MostElements} is the most.", "Give between 1 and 60 elements."));
        }

        foreach (var twice in job.Elements.GroupBy(e => e.Id, StringComparer.Ordinal).Where(g => g.Count() > 1))
        {
            faults.Add(new("#/elements", $"Two elements are called '{twice.Key}'.", "Give each element its own id, or none."));
        }

        for (var i = 0; i < job.Elements.Count; i++)
        {
            var at = $"#/elements/{i}";
            switch (job.Elements[i])
            {
                case TextElement words:
                    CheckElement(words, at, library, faults);
                    break;
                case MotifElement motif:
                    MotifCheck.Check(motif, at, faults);
                    break;
                default:
                    throw new InvalidOperationException($"An element is of a kind that nobody checks: {job.Elements[i].GetType().Name}.");
            }
        }

        if (faults.Count == 0 && StitchesOf(job) is var stitches and > JobLimits.MostStitches)
        {
            faults.Add(TooManyStitches((long)stitches));
        }

        ValueChecks.Day("#/today", job.Today, faults);
        ValueChecks.Day("#/dueOn", job.DueOn, faults);
        ValueChecks.Day("#/done/rinsedOn", job.Done?.RinsedOn, faults);
        ValueChecks.Day("#/done/washedOn", job.Done?.WashedOn, faults);
        if (job.Done is { } done)
        {
            ValueChecks.Range("#/done/runs", done.Runs, 0, JobLimits.MostRuns, "lengths", faults);
            ValueChecks.Range("#/done/stitches", done.Stitches, 0, JobLimits.MostRuns, "stitches", faults);
        }

        if (faults.Count == 0)
        {
            PlacesCheck.Check(job, library, faults);
        }
        else
        {
            // Places are not told apart yet: what is marked with one waits for the rest to make sense.
            CheckOverrides(job, job with
            {
                Overrides = job.Overrides.Only(k => k.Place is null),
            }, null, library, faults);
        }

        WorkshopCheck.Check(workshop, faults);
        return faults;
    }

    /// <summary>
    /// About how many stitches a job without faults comes to: from its letters and the lines of its motifs, before anything is laid out.
    /// </summary>
    public static double StitchesOf(Job job) =>
        job.Wordings.Sum(e => e.Text.Length * LineOfALetter * Math.Clamp(e.CapHeightMm ?? 25, 0, Fit.MostCapMm) / 2)
            + job.Motifs.Sum(MotifCheck.StitchesOf);

    internal static ValidationError TooManyStitches(long stitches) => new(
        "#/elements", $"This would be about {ValueChecks.Number(Math.Round(stitches / 1000.0) * 1000)} stitches, and {JobLimits.MostStitches} is the most.",
            "Ask for fewer letters or motifs, or smaller ones.");

    private static void CheckItem(Job job, List<ValidationError> faults)
    {
        if (job.Own is { } own)
        {
            var wrong = OwnForms.Faults(own);
            faults.AddRange(wrong.Select(f => new ValidationError($"#/item/own/{f.Member}", f.Detail, f.Try)));
            if (own.Id != job.Form)
            {
                faults.Add(new("#/item/form", $"The form is '{job.Form}', and the own form with it is '{own.Id}'.", "Name the own form."));
            }

            if (wrong.Count > 0)
            {
                return;
            }
        }

        var form = job.FormUsed;
        if (form is null)
        {
            faults.Add(new("#/item/form", $"There is no form '{job.Form}'.",
                $"Use {ValueChecks.Either(Catalogue.Forms.Select(f => f.Id))}, or send your own form with it."));
            return;
        }

        if (job.Size is { } size && form.Sizes.All(s => s.Id != size))
        {
            faults.Add(new("#/item/size", $"{Say.Upper(Say.A(form.Name))} has no size '{size}'.",
                $"Use {ValueChecks.Either(form.Sizes.Select(s => s.Id))}."));
        }

        CheckMeasured(job, form, faults);
        CheckMakeUp(job, form, faults);
        if (job.Zone is { } zone && form.Zones.All(z => z.Id != zone))
        {
            faults.Add(new("#/zone", $"{Say.Upper(Say.A(form.Name))} has no zone '{zone}'.",
                $"Use {ValueChecks.Either(form.Zones.Select(z => z.Id))}."));
        }

        if (job.Wearer is { } wearer && !Wearers.Contains(wearer))
        {
            faults.Add(new("#/item/wearer", $"'{wearer}' is no wearer.", $"Use {ValueChecks.Either(Wearers)}."));
        }

        CheckChoice("#/item/washed", job.Use?.Washed, Wearing.Washings, faults);
        CheckChoice("#/item/lasts", job.Use?.Lasts, Wearing.Lastings, faults);
        if (job.Fabric is { } fabric)
        {
            if (fabric.Kind is { } kind && Cloths.Find(kind) is null)
            {
                faults.Add(new("#/item/fabric/kind", $"There is no cloth '{kind}'.", $"Use {ValueChecks.Either(Cloths.All.Select(c => c.Id))}."));
            }

            ValueChecks.Colour("#/item/fabric/colour", fabric.Colour, false, faults);
            ValueChecks.Range("#/item/fabric/stretchPercent", fabric.StretchPercent, 0, 200, "%", faults);
            ValueChecks.Range("#/item/fabric/thicknessMm", fabric.ThicknessMm, 0.05, 20, "mm", faults);
            ValueChecks.Range("#/item/fabric/washC", fabric.WashC, 20, 95, "°C", faults);
            if (fabric.Print is { } print)
            {
                ValueChecks.Range("#/item/fabric/print/wideMm", print.WideMm, ClothPrint.LeastMm, ClothPrint.MostMm, "mm", faults);
                ValueChecks.Range("#/item/fabric/print/highMm", print.HighMm, 1, ClothPrint.MostMm * 4, "mm", faults);
                ValueChecks.Range("#/item/fabric/print/darkL", print.DarkL, 0, print.LightL, "of lightness", faults);
                ValueChecks.Range("#/item/fabric/print/lightL", print.LightL, print.DarkL, 100, "of lightness", faults);
                ValueChecks.Text("#/item/fabric/print/picture", print.Picture, 64, faults);
            }

            if (fabric.Fibre is { } fibre)
            {
                ValueChecks.Text("#/item/fabric/fibre", fibre, 60, faults);
            }
        }
    }

    private static void CheckChoice(string at, string? value, IReadOnlyList<Decisions.Choice> choices, List<ValidationError> faults)
    {
        if (value is not null && choices.All(c => c.ChoiceId != value))
        {
            faults.Add(new(at, $"'{value}' is not known here.", $"Use {ValueChecks.Either(choices.Select(c => c.ChoiceId))}."));
        }
    }

    /// <summary>It is made up as its cloth can be, and a bowl is one that such a thing sits in.</summary>
    private static void CheckMakeUp(Job job, Form form, List<ValidationError> faults)
    {
        if (job.MakeUp is not { } up)
        {
            return;
        }

        CheckFringe(up, form, faults);
        if (up.As is not MakeUp.None and not MakeUp.Frayed && MakeUp.Known.All(k => k.Id != up.As))
        {
            faults.Add(new("#/makeUp/as", $"There is no way '{up.As}' of making up.",
                $"Use {ValueChecks.Either(MakeUp.Known.Select(k => k.Id).Append(MakeUp.Frayed).Append(MakeUp.None))}."));
        }
        else if (up.As is not MakeUp.None and not MakeUp.Frayed && MakeUp.Known.First(k => k.Id == up.As).Cloth != form.Loose)
        {
            faults.Add(new("#/makeUp/as", $"{Say.Upper(Say.A(form.Name))} is not made up as '{up.As}'.",
                "Take " + string.Join(" or ", Catalogue.Forms.Where(f => f.Loose == MakeUp.Known.First(k => k.Id == up.As).Cloth)
                    .Select(f => $"'{f.Id}'")) + " as the item, or leave it out."));
        }

        if (up.BowlMm is { } bowl && (form.Loose != LooseCloth.GatheredRound || !(bowl >= MakeUp.LeastBowlMm && bowl <= MakeUp.MostBowlMm)))
        {
            faults.Add(new("#/makeUp/bowlMm", form.Loose == LooseCloth.GatheredRound ? $"A bowl {ValueChecks.Number(bowl)} mm wide is out of reach."
                : $"{Say.Upper(Say.A(form.Name))} sits in no bowl.",
                $"Measure inside its rim: {ValueChecks.Number(MakeUp.LeastBowlMm)} to {ValueChecks.Number(MakeUp.MostBowlMm)} mm, for a gathered round."));
        }

        if ((up.OpeningWideMm is null) != (up.OpeningHighMm is null) || (up.OpeningWideMm is not null && form.Loose != LooseCloth.Framed))
        {
            faults.Add(new("#/makeUp/openingMm", "An opening is the width and the height of a frame.", "Write [280, 355], for a framed piece."));
        }

        if (up.Measured is not null && job.MeasuredMm is { Count: > 0 })
        {
            faults.Add(new("#/item/measuredMm", "The size is said twice over: by its measures, and by its bowl or frame.",
                "Leave one of them out."));
        }
    }

    private static void CheckFringe(MakeUp up, Form form, List<ValidationError> faults)
    {
        if (up.As == MakeUp.Frayed && !FrayedEdge.Forms.Contains(form.Id, StringComparer.Ordinal))
        {
            faults.Add(new("#/makeUp/as", $"{Say.Upper(Say.A(form.Name))} has no edge to fray.",
                $"Take {ValueChecks.Either(FrayedEdge.Forms)} as the item, or leave it out."));
        }

        if (up.FringeMm is { } fringe && (up.As != MakeUp.Frayed || !(fringe >= FrayedEdge.LeastMm && fringe <= FrayedEdge.MostMm)))
        {
            faults.Add(new("#/makeUp/fringeMm", up.As != MakeUp.Frayed ? "Only a frayed edge has a fringe."
                : $"A fringe {ValueChecks.Number(fringe)} mm wide is out of reach.",
                $"Write {ValueChecks.Number(FrayedEdge.LeastMm)} to {ValueChecks.Number(FrayedEdge.MostMm)}, with \"as\": \"frayed\"."));
        }
    }

    /// <summary>Her numbers are ones the form asks for, within what such a thing can be, and go together.</summary>
    private static void CheckMeasured(Job job, Form form, List<ValidationError> faults)
    {
        var asked = new[] { form.Width, form.Height };
        var sound = true;
        foreach (var (id, mm) in job.Measures ?? new Dictionary<string, double>(StringComparer.Ordinal))
        {
            var pointer = $"#/item/measuredMm/{id}";
            var measure = Array.Find(asked, m => m.Id == id);
            if (measure is null)
            {
                faults.Add(new(pointer, $"{Say.Upper(Say.A(form.Name))} is not measured by '{id}'.",
                    $"Use {ValueChecks.Either(asked.Select(m => m.Id))}."));
                sound = false;
            }
            else if (!(mm >= measure.LeastMm && mm <= measure.MostMm))
            {
                faults.Add(new(pointer, $"{measure.Name}: {ValueChecks.Number(mm)} mm is out of reach for {Say.A(form.Name)}.",
                    $"Use {ValueChecks.Number(measure.LeastMm)} to {ValueChecks.Number(measure.MostMm)} mm. {measure.How}"));
                sound = false;
            }
        }

        if (sound && form.Shelf != Shelf.Own && form.Scaled(job.Measures, job.Size) is { } scaled && job.Measures.Sure().Count == 2
            && form.Sizes.Min(s => Math.Abs(Math.Log(scaled.WidthMm / scaled.HeightMm * s.HeightMm / s.WidthMm))) > Math.Log(
                MostOutOfShape))
        {
            faults.Add(new($"#/item/measuredMm/{form.Height.Id}",
                $"{Say.Upper(Say.A(form.Name))} {Say.Length(scaled.WidthMm)} by {Say.Length(scaled.HeightMm)} is no shape for one.",
                $"Measure once more: {Say.Lower(form.Width.Name)} and {Say.Lower(form.Height.Name)}. A shape of its own is measured by "
                    + $"hand."));
        }
    }

    private static void CheckElement(TextElement element, string at, Library library, List<ValidationError> faults)
    {
        if (element.Id.Length is 0 or > 60)
        {
            faults.Add(new($"{at}/id", "An id is 1 to 60 characters long.", "Use a short name such as \"name\"."));
        }

        ValueChecks.Text($"{at}/text", element.Text, int.MaxValue, faults);
        if (faults.All(f => f.Pointer != $"{at}/text"))
        {
            CheckWords(element, at, library, faults);
            MotifCheck.CheckLetters(element, at, faults);
        }

        if (element.Stitch is { } stitch && Book.Lines.All(s => s.Id != stitch))
        {
            faults.Add(new(
                $"{at}/stitch",
                stitch == PartAsked.Beads ? "Beads are sewn on, and no stitch that writes." : Book.Find(stitch) is null
                    ? $"There is no stitch '{stitch}'." : $"The stitch '{stitch}' writes no lines.",
                stitch == PartAsked.Beads ? "Take the craft 'beads', or name a stitch."
                    : $"Use {ValueChecks.Either(Book.Lines.Select(s => s.Id))}, or leave it out."));
        }

        ValueChecks.Thread(at, element.Thread, element.Strands, element.Stitch, null, faults);
        ValueChecks.Colour($"{at}/colour", element.Colour, true, faults);
        ValueChecks.Colour($"{at}/secondColour", element.SecondColour, true, faults);
        MotifCheck.CheckByPart(element.ByPart, at, motif: false, element.Thread, faults);
        MotifCheck.CheckLayer(element.Layer, at, faults);
        MotifCheck.CheckCraft(element.Craft, at, faults);
        ValueChecks.Range($"{at}/capHeightMm", element.CapHeightMm, Lettering.LeastCapMm, Fit.MostCapMm, "mm", faults);
        ValueChecks.Range($"{at}/widthMm", element.WidthMm, JobLimits.LeastWidthMm, JobLimits.MostWidthMm, "mm", faults);
        if (element is { CapHeightMm: not null, WidthMm: not null })
        {
            faults.Add(new($"{at}/widthMm", "A height and a width are wished for the same words, and one follows from the other.",
                "Leave one of the two out."));
        }

        MotifCheck.CheckChoice($"{at}/arrangement", element.Arrangement, WordWays.Choices.Select(c => c.ChoiceId), "arrangement",
            faults);
        MotifCheck.CheckChoice($"{at}/reading", element.Reading, WordWays.Readings.Select(c => c.ChoiceId), "way to read it", faults);
        MotifCheck.CheckChoice($"{at}/motif", element.Motif, MotifLibrary.Ids, "motif", faults);
        MotifCheck.CheckChoice($"{at}/motifPlace", element.MotifPlace, WordWays.Places, "place of a motif", faults);
        ValueChecks.Range($"{at}/motifCount", element.MotifCount, 1, 80, "parts", faults);
        ValueChecks.Range($"{at}/radiusMm", element.RadiusMm, 5, 1000, "mm", faults);
        ValueChecks.Range($"{at}/turnDegrees", element.TurnDegrees, -90, 90, "degrees", faults);
        ValueChecks.Centre(element.CentreMm, at, faults);
    }

    private static void CheckWords(TextElement element, string at, Library library, List<ValidationError> faults)
    {
        var letters = Rows.Letters(element.Text.Replace("\n", string.Empty, StringComparison.Ordinal));
        var rows = element.Text.Split('\n').Count(r => r.Trim().Length > 0);
        if (letters.All(Rows.IsSpace))
        {
            faults.Add(new($"{at}/text", "There are no letters in the words.", "Write at least one letter."));
            return;
        }

        if (letters.Select(Unseen.NameOf).OfType<string>().Distinct().ToArray() is { Length: > 0 } unseen)
        {
            faults.Add(new($"{at}/text",
                $"There is {Say.List(unseen.Select(Say.A).ToArray())} in the words: it draws nothing, and no needle can follow it.",
                "Take it out; write the words anew rather than pasting them."));
            return;
        }

        if (letters.FirstOrDefault(l => l.EnumerateRunes().Count() > JobLimits.MostMarks + 1) is { } heaped)
        {
            faults.Add(new(
                $"{at}/text",
                    $"The letter '{heaped.EnumerateRunes().First()}' carries {heaped.EnumerateRunes().Count() - 1} marks, and {JobLimits.MostMarks} "
                        + $"is the most on one letter.", "Take the marks off that no language sets there."));
            return;
        }

        if (letters.Count > JobLimits.MostLetters)
        {
            faults.Add(new($"{at}/text", $"There are {letters.Count} letters, and {JobLimits.MostLetters} is the most in one element.",
                "Divide the words between two elements."));
        }

        if (rows > JobLimits.MostRows || element.Rows is < 1 or > JobLimits.MostRows)
        {
            faults.Add(new(rows > JobLimits.MostRows ? $"{at}/text" : $"{at}/rows", $"One element has 1 to {JobLimits.MostRows} rows.",
                "Divide the words between two elements."));
        }
        else if (Rows.Break(element.Text, element.Rows) is null)
        {
            faults.Add(new(
                $"{at}/rows",
                rows > 1 ? $"The line breaks in the words make {rows} rows, not {element.Rows}."
                    : $"The words cannot be broken into {element.Rows} rows: a row ends only between words.",
                "Leave rows out, or put the line breaks into the words."));
        }

        var alphabet = element.Alphabet is null ? null : library.Find(element.Alphabet);
        if (element.Alphabet is not null && alphabet is null)
        {
            faults.Add(new($"{at}/alphabet", $"There is no alphabet '{element.Alphabet}'.",
                $"Use {ValueChecks.Either(library.Everybodys.Select(a => a.Id))}."));
            return;
        }

        var lacking = Lacking(letters, alphabet, library);
        if (lacking.Length > 0)
        {
            faults.Add(new(
                $"{at}/text",
                $"{(alphabet is null ? "No alphabet here has" : $"The alphabet '{alphabet.Id}' has no")} "
                    + $"{Say.List(lacking.Select(l => $"'{l}'").ToArray())}.",
                library.Everybodys.Where(a => Lacking(letters, a, library).Length == 0).Select(a =>
                    a.Name).Take(3).ToArray() is { Length: > 0 } able
                    ? $"Write it in {ValueChecks.Either(able)}, which have it, or in Latin letters with their accents."
                    : "Write it in Latin letters with their accents, or bring an alphabet that has it."));
        }
    }

    /// <summary>Letters that an alphabet lacks, at most ten; of none in particular, those the alphabet that lacks fewest lacks.</summary>
    private static string[] Lacking(IReadOnlyList<string> letters, IAlphabet? alphabet, Library library)
    {
        var asked = letters.Where(l => !Rows.IsSpace(l)).Distinct(StringComparer.Ordinal).ToArray();
        string[] Of(IAlphabet a) => asked.Where(l => !a.Has(l)).Take(10).ToArray();
        return alphabet is not null ? Of(alphabet) : Of(library.Alphabets[0]) is { Length: 0 } none ? none
            : library.Everybodys.Select(Of).OrderBy(l => l.Length).First();
    }

    /// <summary>
    /// What she settled in a job, or at one place of <paramref name="whole"/>: there it is marked with <paramref name="at"/>.
    /// </summary>
    internal static void CheckOverrides(Job whole, Job job, string? at, Library library, List<ValidationError> faults)
    {
        foreach (var (key, value) in job.Overrides)
        {
            var id = at is null || Places.Shared(key) ? key : key with { Place = at };
            var (pointer, decision) = (ValueChecks.Pointer(id), key.Id);
            if (DecisionRegistry.Pointer(job, decision, key.Of) is { } stated && PlacesCheck.InWhole(whole, job, stated) is var member)
            {
                faults.Add(new(pointer, $"'{id}' is settled twice: here and by {member}.", "Keep one of the two."));
            }

            var ofOwn = job.Own is { } own && ((decision == "space.zone" && own.Faces.Any(f => f.Zones.Any(z => z.Id == value)))
                || (decision == "item.size" && value == "own"));
            if (!ofOwn && DecisionRegistry.Check(decision, value, library) is { } wrong)
            {
                faults.Add(new(pointer, wrong.Detail, wrong.Try));
            }
        }
    }
}
