using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Space;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>How a wording is laid out, and the drawing that goes with it, with the decisions that say so.</summary>
internal sealed record WordsArranged(Arrangement Arrangement, Ornament? Ornament, IReadOnlyList<Decision> Decisions)
{
    /// <summary>A slope rises by so much where nobody said, degrees (from memory).</summary>
    private const double UsualSlope = 12;

    /// <summary>The motif that goes with the words; null where none does.</summary>
    public Motif? Beside => Ornament is { } ornament ? MotifLibrary.All.First(m => m.Name == ornament.Name) : null;

    public bool OneRow => Arrangement.Way is WordWay.Ring or WordWay.Edge or WordWay.Monogram;

    public static WordsArranged Settle(Func<string, DecisionKey> id, TextElement asked, WordingGround ground, Place place,
        HeardOverrides overrides)
    {
        var hers = asked.Arrangement ?? overrides.For(id("words.arrangement"));
        var told = WordWays.All.First(t => t.Id == (hers ?? "straight"));
        var letters = Rows.Letters(asked.Text).Count(l => !Rows.IsSpace(l));
        var edge = told.Id == "edge" ? EdgeBy(ground, place) : null;
        var way = told.Id == "edge" && edge is null || told.Id == "monogram" && letters > Arrangement.MostInitials ? "straight" : told.Id;
        var reading = asked.Reading ?? (way is "arc" or "ring" ? overrides.For(id("words.reading")) : null);
        var turn = way switch
        {
            "slope" => -(asked.TurnDegrees is { } degrees ? -degrees : UsualSlope) * Math.PI / 180,
            "corner" => CornerTurn(ground, place),
            "edge" when edge is { } straight && StraightWay(straight.Path) is { } along => along,
            _ => 0,
        };

        // Along a straight edge the words grow about their place like any straight words, and their size can be found exactly.
        var path = edge is { } bent && StraightWay(bent.Path) is null ? bent.Path : null;
        var arrangement = new Arrangement((WordWay)Arrangement.Ids.ToList().IndexOf(way), reading == "inside", way is "arc" or "ring"
            ? asked.RadiusMm : null, turn, path);
        var because = new List<Told> { told.Because };
        if (way != told.Id)
        {
            because.Add(told.Id == "edge" ? "Here there is no edge the words could follow, so they stand level."
                : $"A monogram has up to {Arrangement.MostInitials} letters: these {letters} stand level.");
        }

        if (edge is not null)
        {
            because.Add($"They follow {edge.Value.Name}, {Say.Length(Math.Round(edge.Value.ByMm, 1))} from it.");
        }

        if (asked.RadiusMm is { } radius && arrangement.RadiusMm is not null)
        {
            because.Add($"You asked for a radius of {Say.Length(radius)}: the letters are made to fit it.");
        }

        var decisions = new List<Decision>
        {
            Deciding.Make(id("words.arrangement"), Station.Words, "How the words are laid out", WordWays.Choices[0], hers is null ? null
                : new Choice(told.Id, told.Text), because, ["Another place, or a motif that wants room."], WordWays.Choices),
        };
        if (way is "arc" or "ring")
        {
            decisions.Add(Deciding.Make(
                id("words.reading"), Station.Words, "Which way the letters stand", WordWays.Readings[0], reading is null ? null
                    : WordWays.Readings.First(r => r.ChoiceId == reading),
                [arrangement.Inside ? "The tops of the letters point inward: the words hang like a bowl and read at the foot of a ring."
                    : "The tops of the letters point outward: the words stand like a hill and read at the crown of a ring."],
                ["Where on the ring the words are to be read."], WordWays.Readings));
        }

        return new WordsArranged(arrangement, OrnamentOf(id, asked, overrides, decisions), decisions);
    }

    /// <summary>The motif that goes with the words, if there is one: its kind, and where it stands.</summary>
    private static Ornament? OrnamentOf(Func<string, DecisionKey> id, TextElement asked, HeardOverrides overrides, List<Decision> decisions)
    {
        var hers = asked.Motif ?? overrides.For(id("words.motif"));
        var motif = hers is null or "none" ? null : MotifLibrary.Find(hers);
        var placed = asked.MotifPlace ?? overrides.For(id("words.motif-place")) ?? (motif?.Shelf == MotifShelf.Frames ? "around" : "after");
        if (motif is not null && placed == "dot" && !Rows.Letters(asked.Text).Any(l => l is "i" or "j"))
        {
            placed = "after";
        }

        var none = new Choice("none", "No motif with the words");
        decisions.Add(Deciding.Make(
            id("words.motif"), Station.Words, "Which motif goes with the words", none, motif is null ? null
                : new Choice(motif.Id, Say.Upper(motif.Name)),
            motif is null ? ["The words stand alone."]
                : [$"The {motif.Name} grows with the words and is fitted with them: it takes its size from the "
                    + $"capitals{(placed == "around" ? " and from how long the words are" : string.Empty)}."],
            ["A motif of its own can stand anywhere; one with the words keeps its place beside them."],
            new[] { "heart", "star", "leaf-sprig", "daisy", "wreath", "round-frame" }.Select(m => MotifLibrary.Find(m).Sure()).Select(m =>
                new Choice(m.Id, Say.Upper(m.Name))).Prepend(none).ToArray()));
        if (motif is null)
        {
            return null;
        }

        var places = WordWays.Places.Select(p => new Choice(p, PlaceTold(p))).ToArray();
        decisions.Add(Deciding.Make(
            id("words.motif-place"), Station.Words, "Where it stands",
                new Choice(motif.Shelf == MotifShelf.Frames ? "around" : "after",
                PlaceTold(motif.Shelf == MotifShelf.Frames ? "around" : "after")),
            asked.MotifPlace is null && overrides.For(id("words.motif-place")) is null ? null : new Choice(placed, PlaceTold(placed)),
            [placed switch
            {
                "around" => "It is drawn round the words, sized from them.",
                "dot" => "It stands for the dot of the first i or j.",
                "between" => "A gap is opened for it between two words.",
                _ => $"It stands {placed} the words, a third of a capital from them.",
            }],
            ["Which way there is room."], places));
        var shape = new MotifShape(asked.MotifCount);
        return new Ornament(motif.Name, Enum.Parse<OrnamentPlace>(placed, ignoreCase: true), placed == "around" ? (w, h) =>
            motif.DrawAround(w, h, shape) : (w, h) => motif.DrawWithin(w, h, shape));
    }

    private static string PlaceTold(string place) => place switch
    {
        "before" => "Before the words",
        "after" => "After the words",
        "above" => "Above them",
        "below" => "Below them",
        "between" => "Between two words",
        "dot" => "As the dot of an i",
        _ => "Round them",
    };

    /// <summary>
    /// Words in a corner face it: their line is square to the way from their place to the nearest corner of the zone's face.
    /// </summary>
    private static double CornerTurn(WordingGround ground, Place place)
    {
        var (least, greatest) = Region.Of(ground.Drawn.Outline).Box;
        Pt[] corners = [least, new(greatest.X, least.Y), greatest, new(least.X, greatest.Y)];
        var d = corners.OrderBy(c => Math.Round(c.To(place.AnchorMm), 6)).ThenByDescending(c => c.Y).ThenByDescending(c =>
            c.X).First() - place.AnchorMm;

        // Their feet point to a corner below, their heads to one above.
        var down = d.Y >= 0 ? d : d * -1;
        return Math.Atan2(-down.X, down.Y);
    }

    /// <summary>Which way a path goes if it is straight, radians clockwise from the right; null where it bends.</summary>
    private static double? StraightWay(IReadOnlyList<Pt> path)
    {
        const double StraightMm = 0.02;
        return path.All(p => Polyline.ToLine(p, [path[0], path[^1]]) < StraightMm)
            ? Math.Atan2(path[^1].Y - path[0].Y, path[^1].X - path[0].X) : null;
    }

    /// <summary>
    /// The line of the item that is nearest the place and long enough to follow, about the anchor and as far from its edge as the anchor
    /// is; null where there is none.
    /// </summary>
    private static (string Name, double ByMm, IReadOnlyList<Pt> Path)? EdgeBy(WordingGround ground, Place place)
    {
        const double LeastMm = 40;
        const double Densely = 2;
        var lines = ground.Drawn.Obstacles.Where(o => o.SeenAs is { Count: > 1 }).Select(o => (Name: $"the {o.Name}", Line: o.SeenAs.Sure()))
            .Append(("the edge", [.. ground.Drawn.Outline, ground.Drawn.Outline[0]]))
            .Where(l => Polyline.Length(l.Item2) >= LeastMm)
            .Select(l => (Name: l.Item1, Line: l.Item2, By: Polyline.ToLine(place.AnchorMm, l.Item2)))
            .OrderBy(l => l.By).ToArray();
        if (lines.Length == 0)
        {
            return null;
        }

        var (name, line, by) = lines[0];
        var curve = EdgePath.Beside(line, place.AnchorMm, by);
        if (curve.Count < 2)
        {
            return null;
        }

        var about = EdgePath.Densely(curve.Select(p => p - place.AnchorMm).ToArray(), Densely);
        var near = Enumerable.Range(0, about.Count - 1).MinBy(i => about[i].Length);
        return (name, by, about[near + 1].X >= about[near].X ? about : about.Reverse().ToArray());
    }
}
