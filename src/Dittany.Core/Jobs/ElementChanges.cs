using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Jobs;

/// <summary>
/// A member of an element that can be changed: how it is read and set. Named without an element it is that of the first of the job that has
/// such a member.
/// </summary>
internal sealed record ElementMember(string Name, Func<TextElement, string?>? OfWords, Func<TextElement, string?,
    TextElement?>? SetWords, Func<MotifElement, string?>? OfMotif, Func<MotifElement, string?, MotifElement?>? SetMotif, string Try)
{
    public string? Read(Job job) => First(job) switch
    {
        TextElement words => OfWords.Sure()(words),
        MotifElement motif => OfMotif.Sure()(motif),
        _ => null,
    };

    private JobElement? First(Job job) => job.Elements.FirstOrDefault(e => e is TextElement ? OfWords is not null : OfMotif is not null);

    /// <summary>The job with it set; a value that is not its kind is a fault, and so is a member that nothing in the job has.</summary>
    public Job? Set(Job job, string? value, out ValidationError? fault)
    {
        fault = null;
        if (First(job) is not { } first)
        {
            fault = new ValidationError($"#/elements/0/{Name}", "There is nothing in this piece that it belongs to.",
                "Add words or a motif first.");
            return null;
        }

        JobElement? changed = first is TextElement words ? SetWords.Sure()(words, value) : SetMotif.Sure()((MotifElement)first, value);
        fault = changed is null ? new ValidationError($"#/elements/{job.Elements.ToList().IndexOf(first)}/{Name}", $"'{value}' is not {Kind}.", Try) : null;
        return changed is null ? null : job.With(e => ReferenceEquals(e, first) ? changed : e);
    }

    private string Kind => Name is "centreMm" ? "a place" : "a number";
}

/// <summary>Members of elements by name, and motifs added and taken away.</summary>
internal static class ElementChanges
{
    private static readonly ElementMember[] All =
    [
        Text("text", e => e.Text, (e, v) => e with { Text = v ?? string.Empty }),
        Number("capHeightMm", e => e.CapHeightMm, (e, v) => e with { CapHeightMm = v, WidthMm = v is null ? e.WidthMm : null }),
        Number("rows", e => e.Rows, (e, v) => e with { Rows = Whole(v) }),
        Text("alphabet", e => e.Alphabet, (e, v) => e with { Alphabet = v }),
        Text("arrangement", e => e.Arrangement, (e, v) => e with { Arrangement = v }, m => m.Arrangement, (m, v) => m
            with { Arrangement = v, Count = v == "pair" ? null : m.Count }),
        Number("radiusMm", e => e.RadiusMm, (e, v) => e with { RadiusMm = v }),
        Text("reading", e => e.Reading, (e, v) => e with { Reading = v }),
        Number("turnDegrees", e => e.TurnDegrees, (e, v) => e with { TurnDegrees = v }, m => m.TurnDegrees, (m, v) => m
            with { TurnDegrees = v }),
        Text("motif", e => e.Motif, (e, v) => e with { Motif = v }, m => m.Motif, (m, v) => m with { Motif = v ?? m.Motif }),
        Text("motifPlace", e => e.MotifPlace, (e, v) => e with { MotifPlace = v }),
        Number("motifCount", e => e.MotifCount, (e, v) => e with { MotifCount = Whole(v) }),
        Text("stitch", e => e.Stitch, (e, v) => e with { Stitch = v }, m => m.Stitch, (m, v) => m with { Stitch = v }),
        Number("strands", e => e.Strands, (e, v) => e with { Strands = Whole(v) }, m => m.Strands, (m, v) => m with { Strands = Whole(v) }),
        Text("colour", e => e.Colour, (e, v) => e with { Colour = v }, m => m.Colour, (m, v) => m with { Colour = v }),
        Text("thread", e => e.Thread, (e, v) => e with { Thread = v }, m => m.Thread, (m, v) => m with { Thread = v }),
        Text("secondColour", e => e.SecondColour, (e, v) => e with { SecondColour = v }, m => m.SecondColour, (m, v) => m
            with { SecondColour = v }),
        Number("layer", e => e.Layer, (e, v) => e with { Layer = Whole(v, -99) }, m => m.Layer, (m, v) => m with { Layer = Whole(v, -99) }),
        Text("craft", e => e.Craft, (e, v) => e with { Craft = v }, m => m.Craft, (m, v) => m with { Craft = v }),
        Number("heightMm", null, null, m => m.HeightMm, (m, v) => m with { HeightMm = v }),
        Number("widthMm", e => e.WidthMm, (e, v) => e with { WidthMm = v, CapHeightMm = v is null ? e.CapHeightMm : null }, m => m.WidthMm,
            (m, v) => m with { WidthMm = v }),
        Number("count", null, null, m => m.Count, (m, v) => m with { Count = Whole(v) }),
        Number("parts", null, null, m => m.Parts, (m, v) => m with { Parts = Whole(v) }),
        new("centreMm", e => Place(e.CentreMm), (e, v) => v is null ? e with { CentreMm = null } : PlaceOf(v) is { } p ? e
            with { CentreMm = p } : null, m => Place(m.CentreMm), (m, v) => v is null ? m with { CentreMm = null } : PlaceOf(v) is { } p
            ? m with { CentreMm = p } : null, "Write two numbers in mm, such as 250,600."),
    ];

    public static IReadOnlyList<string> Members { get; } = All.Select(m => m.Name).ToArray();

    public static ElementMember? Of(string member) => Array.Find(All, m => string.Equals(m.Name, member, StringComparison.Ordinal));

    private static ElementMember Text(string name, Func<TextElement, string?>? read, Func<TextElement, string?, TextElement>? set,
        Func<MotifElement, string?>? readMotif = null, Func<MotifElement, string?, MotifElement>? setMotif = null) =>
        new(name, read, set, readMotif, setMotif, string.Empty);

    private static ElementMember Number(string name, Func<TextElement, double?>? read, Func<TextElement, double?, TextElement>? set,
        Func<MotifElement, double?>? readMotif = null, Func<MotifElement, double?, MotifElement>? setMotif = null) => new(
        name,
        read is null ? null : e => read(e)?.ToString("R", CultureInfo.InvariantCulture),
        set is null ? null : (e, v) => v is null ? set(e, null) : Changes.NumberOf(v) is { } n ? set(e, n) : null,
        readMotif is null ? null : m => readMotif(m)?.ToString("R", CultureInfo.InvariantCulture),
        setMotif is null ? null : (m, v) => v is null ? setMotif(m, null) : Changes.NumberOf(v) is { } n ? setMotif(m, n) : null,
        "Write a number, such as 14.");

    /// <summary>Numbers of things, held where the check of the job still finds them out of reach.</summary>
    private static int? Whole(double? n, int least = 0) => n is { } v ? (int)Math.Clamp(v, least - 1, 9999) : null;

    private static string? Place(Pt? at) => at is { } c ? string.Create(CultureInfo.InvariantCulture, $"{c.X:R},{c.Y:R}") : null;

    private static Pt? PlaceOf(string value) =>
        value.Split(',') is [var a, var b] && Changes.NumberOf(a) is { } x && Changes.NumberOf(b) is { } y ? new Pt(x, y) : null;
}
