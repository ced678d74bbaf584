using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Transfer;

/// <summary>How one method was judged.</summary>
public sealed record Ranked(string Method, string Verdict, IReadOnlyList<Told> Because);

/// <summary>
/// The transfer settled. <paramref name="PrintMirrored"/> is null where nothing is printed; <paramref name="Tacked"/> says whether film is
/// tacked on.
/// </summary>
public sealed record Transferred(
    Method Method,
    Ink Marker,
    StabiliserSet Stabiliser,
    bool? PrintMirrored,
    IReadOnlyList<Handling> Chain,
    int Sheets,
    bool Tacked,
    IReadOnlyList<Operation> Work,
    IReadOnlyList<Ranked> Ranking,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

/// <summary>What the room is asked; lengths in mm, the design with its margin.</summary>
public sealed record TransferQuestion(TransferFacts Facts, double WidthMm, double HeightMm, double LineMm, string Paper,
    string? HersMethod, string? HersMarker, string? HersStabiliser);

/// <summary>Settles method, marker and stabiliser, in that order.</summary>
public static class TransferRoom
{
    /// <summary>Paper left round the design for tape and pins (from memory).</summary>
    public const double CutMarginMm = 20;

    /// <summary>Schools of drawing, of markers and of holding the film on.</summary>
    public static IReadOnlyList<Choice> Draws { get; } = [new("transferred", "Printed, traced or transferred"),
        new("freehand", "Drawn freehand, with a few guide marks")];

    public static IReadOnlyList<Choice> Markers { get; } = [new("erasable", "Only what comes out again"),
        new("permanent", "A fine permanent pen, covered by thread")];

    public static IReadOnlyList<Choice> FilmHolds { get; } = [new("pin-and-tack", "Pinned, then tacked"),
        new("hoop-alone", "Held by the hoop alone")];

    public static Transferred Settle(TransferQuestion q)
    {
        var facts = q.Facts;
        var judged = RuleTable.Judge(Methods.All.Select(m => m.Id).ToArray(), MethodRules.All, facts);
        var own = Methods.Find(judged[0].ChoiceId).Sure();
        var method = q.HersMethod is null ? own : Methods.Find(q.HersMethod).Sure();
        var ranking = judged.Select(j => new Ranked(j.ChoiceId, j.ChoiceId == method.Id ? "chosen" : j.RuledOut ? "ruled-out" : "possible",
            j.Because)).ToArray();
        var ruledOut = judged.Where(j => j.RuledOut).Select(j =>
            new RuledOut(j.ChoiceId, Methods.Find(j.ChoiceId).Sure().Name, j.Because)).ToArray();
        var cautions = new List<Caution>();
        foreach (var harm in judged.Where(j => j.RuledOut && j.ChoiceId == method.Id))
        {
            cautions.Add(new Caution("transfer.method", CautionKind.Item, Severity.Stop,
                $"{method.Name}: {string.Join(' ', harm.Because)}"));
        }

        var (marker, markerDecision) = Marker(q, method, cautions);
        var chain = Methods.ChainWith(method, marker.Id);
        if (facts.Folded && chain.Count > 0)
        {
            chain = [.. chain, .. MirrorProof.Folding];
        }

        bool? mirrored = chain.Count == 0 ? null : MirrorProof.PrintMirrored(chain);
        var sheets = chain.Count == 0 ? 0 : Sheet.Pages(q.WidthMm, q.HeightMm, Papers.Find(q.Paper).Sure());
        var (stabiliser, stabiliserDecision) = StabiliserRules.Settle(facts, method, q.HersStabiliser, cautions);
        var tacked = method.Id is "film-traced" && !(facts.HoldFilmHabit == "hoop-alone" && facts.Hooped);

        var because = judged.First(j => j.ChoiceId == method.Id).Because.ToList();
        because.Add(mirrored switch
        {
            null => "Nothing is printed, so there is nothing to mirror.",
            true => $"It is printed mirrored: {MirrorProof.Tell(chain)}.",
            false => $"It is printed as it reads: {MirrorProof.Tell(chain)}.",
        });
        if (sheets > 0)
        {
            because.Add($"The design takes {Say.Count(sheets, "sheet")} of {Papers.Find(q.Paper).Sure().Name}, with {Say.Length(CutMarginMm)} "
                + $"left round it.");
        }

        if (method.Id == "film-traced" && facts.HoldFilmHabit == "hoop-alone")
        {
            because.Add(tacked ? "There is no hoop to hold the film by itself, so it is tacked."
                : "By your habit the hoop alone holds the film: smooth it after every move.");
        }

        var decision = Deciding.Make(
            "transfer.method",
            Station.Transfer,
            "How the lines get onto the cloth",
            new Choice(own.Id, own.Name),
            q.HersMethod is null ? null : new Choice(method.Id, method.Name),
            because,
            ["A lighter or darker cloth, a light box, or another printer."],
            judged.Where(j => !j.RuledOut).Select(j => new Choice(j.ChoiceId, Methods.Find(j.ChoiceId).Sure().Name)).ToArray(),
            ruledOut) with
        {
            NotFollowed = q.HersMethod is null && facts.DrawHabit == "freehand" && method.Id != "freehand"
                ? [$"Drawing freehand, your habit, is not followed: "
                    + $"{Say.Lower(ruledOut.FirstOrDefault(r => r.ChoiceId == "freehand")?.Because[0] ?? "another way is surer here.")}"]
                : null,
        };
        return new Transferred(
            method, marker, stabiliser, mirrored, chain, sheets, tacked,
                TransferWork.For(method, marker, stabiliser, mirrored, sheets, tacked,
                new TransferSize(q.WidthMm, q.HeightMm, q.LineMm, facts.Cloth.Dark), facts.Called), ranking,
            [decision, markerDecision, stabiliserDecision], cautions);
    }

    private static (Ink Ink, Decision Decision) Marker(TransferQuestion q, Method method, List<Caution> cautions)
    {
        var facts = q.Facts;
        var reasons = Inks.All.ToDictionary(i => i.Id, i => MarkerRules.Against(i, method, facts), StringComparer.Ordinal);
        var preferred = facts.MarkerHabit == "permanent" && MarkerRules.OnCloth(method)
            ? method.Markers.OrderByDescending(id => id == "pigment-pen").ToArray() : method.Markers;
        var ownId = preferred.FirstOrDefault(id => reasons[id].Count == 0) ?? preferred[0];
        var own = Inks.Find(ownId).Sure();
        var ink = q.HersMarker is null ? own : Inks.Find(q.HersMarker).Sure();
        cautions.AddRange(reasons[ink.Id].Select(r => new Caution("transfer.marker", CautionKind.Item, q.HersMarker is null
            ? Severity.Caution : Severity.Stop, $"{Say.Upper(ink.Name)}: {r}")));
        if (method.Id == "stick-on-sheet" && ink.Id == "none")
        {
            cautions.Add(new Caution("pale-print", CautionKind.Item, Severity.Note,
                "Print the sheet in pale grey, so that no ink is left in pale thread."));
        }

        var because = new List<Told>
        {
            method.Stabiliser == "film-on-top"
                ? "On film it draws a clear line that goes with the film: try first that it does not run in the water." : ink.GoesBy switch
            {
                GoesBy.ColdWater => "It goes in plain cold water, and stays until then.",
                GoesBy.Heat => "It goes with the iron, and stays until then; frost can bring it back.",
                GoesBy.AirOrWater =>
                    $"It fades by itself; count on {Say.Number(ink.LastsHours, 0)} hours and wash it out even when it has gone.",
                GoesBy.Brushing => "It brushes out; it lasts one sitting.",
                GoesBy.BrushingOrWater => "It stays for days, and brushes out or is dabbed off with a damp cloth.",
                GoesBy.Never => ink.NeedsTransferHeat ? "Drawn on paper, it leaves its line on the cloth under the iron, for good."
                    : "It stays for good: draw thin, and cover it fully. Never an alcohol marker: damp makes it spread past the thread.",
                _ => "Nothing is drawn on the cloth.",
            },
            $"The stitching takes about {Say.Number(Math.Max(0.5, Math.Round(facts.StitchingHours * 2) / 2))} h at the needle.",
        };
        if (facts.MarkerHabit == "permanent")
        {
            because.AddRange(ink.Id == "pigment-pen" ? ["It is your habit to draw for good."]
                : MarkerRules.OnCloth(method) ? Array.Empty<Told>()
                : ["Your habit of a permanent pen is for lines on the cloth itself."]);
        }

        var decision = Deciding.Make(
            "transfer.marker",
            Station.Transfer,
            "What draws the line",
            new Choice(own.Id, Say.Upper(own.Name)),
            q.HersMarker is null ? null : new Choice(ink.Id, Say.Upper(ink.Name)),
            because,
            ["Another method, a darker cloth, more evenings, or your habit of markers."],
            Inks.All.Where(i => reasons[i.Id].Count == 0).Select(i => new Choice(i.Id, Say.Upper(i.Name))).ToArray(),
            Inks.All.Where(i => reasons[i.Id].Count > 0).Select(i => new RuledOut(i.Id, Say.Upper(i.Name), reasons[i.Id])).ToArray()) with
        {
            NotFollowed = q.HersMarker is null && facts.MarkerHabit == "permanent" && ink.Id != "pigment-pen" && MarkerRules.OnCloth(method)
                ? [$"A permanent pen, your habit, is not followed: "
                    + $"{Say.Lower(reasons["pigment-pen"] is [var first, ..] ? first : (Told)"another line serves better here.")}"]
                : null,
        };
        return (ink, decision);
    }
}
