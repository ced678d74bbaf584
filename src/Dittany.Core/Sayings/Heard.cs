using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Sayings;

/// <summary>
/// A saying understood: every word in one span, what is to be put on what, and what is asked. Members that were not said are null.
/// </summary>
public sealed record Heard(string Said, IReadOnlyList<Span> Spans, IReadOnlyList<SaidElement> Elements, IReadOnlyList<Question> Asked)
{
    /// <summary>Id of the form it goes on.</summary>
    public string? Form { get; init; }

    public string? Size { get; init; }

    /// <summary>The part of the item that was said first.</summary>
    public string? Zone { get; init; }

    /// <summary>The colour of the cloth, in hexadecimal.</summary>
    public string? ClothColour { get; init; }

    public string? Cloth { get; init; }

    public bool? Lined { get; init; }

    public DateOnly? DueOn { get; init; }

    /// <summary>Whom it is for and from whom, as said.</summary>
    public string? Whom { get; init; }

    public MakeUp? MakeUp { get; init; }

    /// <summary>Whether it was said that the item is not sewn together yet.</summary>
    public bool Unsewn { get; init; }

    /// <summary>left or right, where the hand that stitches was said: a habit of the workshop, no choice of a piece.</summary>
    public string? Hand { get; init; }

    /// <summary>Choices for the whole piece, by their decisions.</summary>
    public OverrideSet Overrides { get; init; } = OverrideSet.None;

    public static Heard Nothing { get; } = new(string.Empty, [], [], []);

    /// <summary>The words of the first wording; null where none is to be stitched.</summary>
    public string? Words => Elements.FirstOrDefault(e => e.IsText)?.Text;

    /// <summary>The motif of the first element that has one.</summary>
    public string? Motif => Elements.FirstOrDefault(e => e.Motif is not null || e.Beside is not null) is { } e ? e.Motif ?? e.Beside : null;

    /// <summary>What the piece is called by all that is on it; null where its item alone names it.</summary>
    public string? Title => Elements.Count == 0 || (Elements.Count == 1 && Whom is null && Elements[0].Beside is null) ? null
        : Cut($"{Say.Upper(Say.List(Elements.Select(e => e.Called).ToArray()))}{(Whom is { } whom ? $", {whom}" : FormOf is { } form ? $", on {Say.A(form.Name)}" : string.Empty)}");

    private Form? FormOf => Form is null ? null : Catalogue.Find(Form);

    /// <summary>
    /// The same with other words or another motif, given beside the saying: in the place of the first that was said; null takes them out.
    /// A motif alone beside words is tied to them.
    /// </summary>
    public Heard With(string? words, string? motif)
    {
        var elements = Elements.ToList();
        if (words != Words)
        {
            var at = elements.FindIndex(e => e.IsText);
            if (words is null)
            {
                var was = elements[at];
                elements.RemoveAt(at);
                if (was.Beside is { } left)
                {
                    elements.Insert(at, new SaidElement(null, left) { Zone = was.Zone });
                }
            }
            else if (at >= 0)
            {
                elements[at] = elements[at] with { Text = words };
            }
            else if (elements.Count == 1 && elements[0].Plain)
            {
                elements[0] = new SaidElement(words, null) { Beside = elements[0].Motif, Zone = elements[0].Zone };
            }
            else
            {
                elements.Insert(0, new SaidElement(words, null) { Zone = elements.Count > 0 ? elements[0].Zone : Zone });
            }
        }

        if (motif != (this with { Elements = elements }).Motif)
        {
            var at = elements.FindIndex(e => e.Motif is not null || e.Beside is not null);
            if (at >= 0)
            {
                elements[at] = elements[at].IsText ? elements[at] with
                {
                    Beside = motif,
                    BesidePlace = motif is null ? null
                    : elements[at].BesidePlace
                } : elements[at] with { Motif = motif, Parts = [] };
                if (motif is null && !elements[at].IsText)
                {
                    elements.RemoveAt(at);
                }
            }
            else if (elements.FindIndex(e => e.IsText) is >= 0 and var text)
            {
                elements[text] = elements[text] with { Beside = motif };
            }
            else
            {
                elements.Add(new SaidElement(null, motif) { Zone = Zone });
            }
        }

        return this with { Elements = elements };
    }

    /// <summary>The same on another item: what was said of parts and sizes of the one before says nothing of it.</summary>
    public Heard On(string? form) => form == Form ? this : this with
    {
        Form = form,
        Size = null,
        Zone = null,
        Lined = null,
        MakeUp = null,
        Unsewn = false,
        Cloth = null,
        Elements = Elements.Select(e => e with { Zone = null }).ToArray()
    };

    /// <summary>
    /// The job that was said; null while it has no item or nothing to be put on it. <paramref name="own"/> is the item where it is one of
    /// her own.
    /// </summary>
    public Job? Job(DateOnly today, OwnForm? own = null)
    {
        if (Form is null || Elements.Count == 0)
        {
            return null;
        }

        var first = Elements[0].Zone ?? (Elements.Any(e => e.Zone is not null) ? null : Zone);
        var (words, motifs, ids, choices) = (new List<TextElement>(), new List<MotifElement>(), new List<string>(), Overrides);
        var usual = (own is null ? FormOf : OwnForms.AsForm(own))?.Zones[0].Id;
        foreach (var element in Elements)
        {
            var zone = element.Zone is null && first == Zone && Elements.All(e => e.Zone is null) ? null : element.Zone == first ? null
                : element.Zone ?? usual;
            string id;
            if (element.IsText)
            {
                id = words.Count == 0 ? "name" : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"words-{words.Count + 1}");
                words.Add(element.Wording(id) with { Zone = zone });
            }
            else
            {
                id = motifs.Count == 0 ? "motif" : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"motif-{motifs.Count + 1}");
                motifs.Add(element.MotifOf(id) with { Zone = zone });
            }

            ids.Add(id);
        }

        var job = new Job(Form, [.. words, .. motifs], today, Title, DueOn, Size, Cloth is null && ClothColour is null && Lined is null
            ? null
            : new FabricOverrides(Cloth, ClothColour, Lined: Lined), Zone: first, Own: own)
        {
            MakeUp = MakeUp,
        };
        if (Unsewn && FormOf is { ByPattern: true })
        {
            choices = choices.With("item.sewn", "not-sewn");
        }

        job = job with { Zone = first };
        foreach (var (element, id) in Elements.Zip(ids).Where(e => e.First.Fill is not null))
        {
            choices = choices.With(Key(job, "stitch.fill", id), element.Fill ?? string.Empty);
        }

        return job with { Overrides = choices };
    }

    /// <summary>
    /// A decision of one element as a job names it: by its element where that is not the first of its place, and by its place.
    /// </summary>
    internal static DecisionKey Key(Job job, string decision, string id) => Places.KeyOf(job, decision, id);

    private static string Cut(string title) => title.Length <= JobLimits.MostTitle ? title : $"{title[..(JobLimits.MostTitle - 1)].TrimEnd()}…";
}
