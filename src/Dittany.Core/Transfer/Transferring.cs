using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Transfer;

/// <summary>One step of the transfer, with how long to wait after it.</summary>
public sealed record TransferStep(string Do, double WaitMinutes);

/// <summary>How one method was judged.</summary>
public sealed record Ranked(string Method, string Verdict, IReadOnlyList<string> Because);

/// <summary>The transfer settled. <paramref name="PrintMirrored"/> is null where nothing is printed.</summary>
public sealed record Transferred(
    Method Method,
    Ink Marker,
    string Stabiliser,
    bool? PrintMirrored,
    IReadOnlyList<Handling> Chain,
    int Sheets,
    IReadOnlyList<TransferStep> Steps,
    IReadOnlyList<Ranked> Ranking,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

/// <summary>What the room is asked.</summary>
public sealed record TransferQuestion(TransferFacts Facts, double WidthMm, double HeightMm, string Paper, string? HersMethod, string? HersMarker, string? HersStabiliser);

/// <summary>Settles method, marker and stabiliser, in that order.</summary>
public static class TransferRoom
{
    /// <summary>Paper left round the design for tape and pins (from memory).</summary>
    public const double CutMarginMm = 20;

    public static IReadOnlyList<Choice> Stabilisers { get; } =
    [
        new("none", "Nothing behind or on top"),
        new("film-on-top", "Water-soluble film on top"),
        new("stick-on-sheet", "A stick-on wash-away sheet on top"),
        new("fusible-knit-behind", "A soft fusible knit behind"),
        new("cut-away-behind", "A soft cut-away behind"),
        new("tear-away-behind", "A tear-away behind"),
        new("coated-paper-behind", "Plastic-coated paper behind"),
        new("wadding-behind", "Wadding behind"),
    ];

    /// <summary>Whether an id names stabilisers, alone or joined by +.</summary>
    public static bool IsStabiliser(string id) => id.Split('+').All(part => Stabilisers.Any(s => s.ChoiceId == part));

    public static Transferred Settle(TransferQuestion q)
    {
        var facts = q.Facts;
        var judged = RuleTable.Judge(Methods.All.Select(m => m.Id).ToArray(), MethodRules.All, facts);
        var own = Methods.Find(judged[0].ChoiceId)!;
        var method = q.HersMethod is null ? own : Methods.Find(q.HersMethod)!;
        var ranking = judged.Select(j => new Ranked(j.ChoiceId, j.ChoiceId == method.Id ? "chosen" : j.RuledOut ? "ruled-out" : "possible", j.Because)).ToArray();
        var ruledOut = judged.Where(j => j.RuledOut).Select(j => new RuledOut(j.ChoiceId, Methods.Find(j.ChoiceId)!.Name, j.Because)).ToArray();
        var cautions = new List<Caution>();
        foreach (var harm in judged.Where(j => j.RuledOut && j.ChoiceId == method.Id))
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, $"{method.Name}: {string.Join(' ', harm.Because)}"));
        }

        var (marker, markerDecision) = Marker(q, method, cautions);
        var chain = Methods.ChainWith(method, marker.Id);
        bool? mirrored = chain.Count == 0 ? null : MirrorProof.PrintMirrored(chain);
        var sheets = chain.Count == 0 ? 0 : Sheet.Tiles(q.WidthMm, q.HeightMm, Papers.Find(q.Paper)!).Count;
        var (stabiliser, stabiliserDecision) = Stabiliser(q, method, cautions);

        var because = judged.First(j => j.ChoiceId == method.Id).Because.ToList();
        because.Add(mirrored switch
        {
            null => "Nothing is printed, so there is nothing to mirror.",
            true => $"It is printed mirrored: {MirrorProof.Tell(chain)}.",
            false => $"It is printed as it reads: {MirrorProof.Tell(chain)}.",
        });
        if (sheets > 0)
        {
            because.Add($"The design takes {Say.Count(sheets, "sheet")} of {Papers.Find(q.Paper)!.Name}.");
        }

        var decision = Deciding.Make(
            "transfer.method",
            Station.Transfer,
            "How the lines get onto the cloth",
            new Choice(own.Id, own.Name),
            q.HersMethod is null ? null : new Choice(method.Id, method.Name),
            because,
            ["A lighter or darker cloth, a light box, or another printer."],
            judged.Where(j => !j.RuledOut).Select(j => new Choice(j.ChoiceId, Methods.Find(j.ChoiceId)!.Name)).ToArray(),
            ruledOut);
        return new Transferred(
            method, marker, stabiliser, mirrored, chain, sheets, TransferSteps.For(method, marker, stabiliser, mirrored, sheets), ranking,
            [decision, markerDecision, stabiliserDecision], cautions);
    }

    private static (Ink Ink, Decision Decision) Marker(TransferQuestion q, Method method, List<Caution> cautions)
    {
        var facts = q.Facts;
        var reasons = Inks.All.ToDictionary(i => i.Id, i => Against(i, method, facts).ToArray(), StringComparer.Ordinal);
        var ownId = method.Markers.FirstOrDefault(id => reasons[id].Length == 0) ?? method.Markers[0];
        var own = Inks.Find(ownId)!;
        var ink = q.HersMarker is null ? own : Inks.Find(q.HersMarker)!;
        cautions.AddRange(reasons[ink.Id].Select(r => new Caution(CautionKind.Item, q.HersMarker is null ? Severity.Caution : Severity.Stop, r)));
        if (method.Id == "stick-on-sheet" && ink.Id == "none")
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Note, "Print the sheet in pale grey, so that no ink is left in pale thread."));
        }

        var because = new List<string>
        {
            ink.GoesBy switch
            {
                GoesBy.ColdWater => "It goes in plain cold water, and stays until then.",
                GoesBy.Heat => method.Stabiliser == "film-on-top" ? "On film it draws a clear line that goes with the film." : "It goes with the iron, and stays until then; frost can bring it back.",
                GoesBy.AirOrWater => $"It fades by itself; count on {Say.Number(ink.LastsHours, 0)} hours and wash it out even when it has gone.",
                GoesBy.Brushing => "It brushes out; it lasts one sitting.",
                GoesBy.Never => ink.NeedsTransferHeat ? "Drawn on paper, it leaves its line on the cloth under the iron, for good." : "It stays for good: draw thin, and cover it fully.",
                _ => "Nothing is drawn on the cloth.",
            },
            $"The stitching takes about {Say.Number(Math.Max(0.5, Math.Round(facts.StitchingHours * 2) / 2))} h at the needle.",
        };
        var decision = Deciding.Make(
            "transfer.marker",
            Station.Transfer,
            "What draws the line",
            new Choice(own.Id, Upper(own.Name)),
            q.HersMarker is null ? null : new Choice(ink.Id, Upper(ink.Name)),
            because,
            ["Another method, a darker cloth, or more evenings."],
            Inks.All.Where(i => reasons[i.Id].Length == 0).Select(i => new Choice(i.Id, Upper(i.Name))).ToArray(),
            Inks.All.Where(i => reasons[i.Id].Length > 0).Select(i => new RuledOut(i.Id, Upper(i.Name), reasons[i.Id])).ToArray());
        return (ink, decision);
    }

    /// <summary>Why a marker will not do with this method on this cloth.</summary>
    private static IEnumerable<string> Against(Ink ink, Method method, TransferFacts facts)
    {
        if (!method.Markers.Contains(ink.Id, StringComparer.Ordinal))
        {
            yield return ink.Id switch
            {
                "none" => "The line has to be drawn with something.",
                "water-erasable" when method.Stabiliser == "film-on-top" => "Its wet tip eats the film.",
                "transfer-pencil" => "It is made for the iron: here it would be one more turn, and mirrored.",
                _ => $"{method.Name} does not take {ink.Name}.",
            };
            yield break;
        }

        var onCloth = method.Id is not ("film-traced" or "stick-on-sheet" or "tissue" or "tacked-from-back");
        if (onCloth && facts.Cloth.Dark && !ink.ShowsOnDark)
        {
            yield return "Its line does not show on dark cloth.";
        }

        if (onCloth && ink.GoesBy is GoesBy.ColdWater or GoesBy.AirOrWater && !facts.Cloth.Washable)
        {
            yield return "It must be washed out, and the cloth must not be washed.";
        }

        if (onCloth && ink.GoesBy == GoesBy.Heat && facts.Cloth.MaxIron == IronLimit.None)
        {
            yield return "It goes by the iron, and the cloth takes none.";
        }

        if (ink.LastsHours < facts.StitchingHours)
        {
            yield return $"It lasts about {Say.Number(ink.LastsHours, 0)} h, and the stitching takes {Say.Number(facts.StitchingHours)} h.";
        }
        else if (ink.GoesBy == GoesBy.AirOrWater && facts.StitchingHours > 1)
        {
            yield return $"It is good for one sitting, and the stitching takes {Say.Number(facts.StitchingHours)} h.";
        }
    }

    private static (string Id, Decision Decision) Stabiliser(TransferQuestion q, Method method, List<Caution> cautions)
    {
        var cloth = q.Facts.Cloth;
        var parts = new List<string>();
        var because = new List<string>();
        if (method.Stabiliser != "none")
        {
            parts.Add(method.Stabiliser);
            because.Add($"{method.Name} brings it along.");
        }

        if (cloth.Stretchy)
        {
            parts.Add(cloth.MaxIron == IronLimit.None ? "cut-away-behind" : "fusible-knit-behind");
            because.Add($"The cloth stretches {Say.Number(cloth.StretchPercent)} % and needs support that stays; it goes on before marking.");
        }

        if (cloth.Pile != Pile.None && !parts.Contains("film-on-top") && cloth.Kind.Soakable)
        {
            parts.Insert(0, "film-on-top");
            because.Add("Film on top keeps the stitches out of the pile.");
        }

        if (parts.Count == 0)
        {
            because.Add("The cloth is firm and flat: the hoop is support enough.");
        }

        var own = parts.Count == 0 ? "none" : string.Join('+', parts);
        var taken = q.HersStabiliser ?? own;
        if (q.HersStabiliser is not null && method.Stabiliser != "none" && !taken.Split('+').Contains(method.Stabiliser))
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, $"{method.Name} needs {Named(method.Stabiliser).ToLowerInvariant()}: without it there is no line to follow."));
        }

        if (taken.Split('+').Contains("tear-away-behind") && cloth.Kind.Knit)
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, "Tear-away pulls a knit out of shape when it is torn out."));
        }

        return (taken, Deciding.Make(
            "transfer.stabiliser",
            Station.Transfer,
            "What supports the cloth",
            new Choice(own, Named(own)),
            q.HersStabiliser is null ? null : new Choice(taken, Named(taken)),
            because,
            ["Another method, or a cloth that stretches."],
            Stabilisers));
    }

    private static string Named(string id) => string.Join(", and ", id.Split('+').Select((part, i) =>
    {
        var text = Stabilisers.First(s => s.ChoiceId == part).Text;
        return i == 0 ? text : char.ToLowerInvariant(text[0]) + text[1..];
    }));

    private static string Upper(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
