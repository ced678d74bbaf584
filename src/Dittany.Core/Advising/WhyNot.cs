using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Advising;

/// <summary>
/// One fact that would have to be otherwise for something ruled out to be let in: said, and as a change of the piece where it is one, else
/// of the workshop.
/// </summary>
public sealed record LetIn(Told Text, string Member, string Value, bool OfWorkshop)
{
    /// <summary>What must be so as well, where no single fact would do.</summary>
    public LetIn? And { get; init; }
}

/// <summary>
/// From something ruled out the least change of facts that would let it in: what would have to be at hand, then how large it is, then what
/// is true of cloth and use, then another cloth. Each is tried out on a plan; nothing is told that was not.
/// </summary>
public static class WhyNot
{
    /// <summary>So many are told: the nearest.</summary>
    public const int Told = 3;

    /// <summary>
    /// Facts that may be otherwise, the nearest first: a thing to have is nearer than another size, that nearer than another use, and the
    /// cloth itself is the last to be changed (from memory).
    /// </summary>
    private static readonly (string Member, string Value, string Text)[] Facts =
    [
        ("fabric.prewashed", "true", "It has been washed before"), ("fabric.lined", "false", "It is not lined"), ("fabric.lined", "true", "It is lined"),
        ("fabric.busy", "false", "The cloth is plain"), ("nextToSkin", "false", "It does not lie on skin"), ("washed", "never", "It is never washed"),
        ("washed", "often", "It is washed often"), ("lasts", "day", "It need last a day only"), ("wearer", "adult", "It is for an adult"),
        ("fabric.washable", "true", "The cloth bears water"), ("fabric.maxIron", "ThreeDots", "The cloth bears a hot iron"),
        ("fabric.opacity", "Sheer", "The cloth lets light through"), ("fabric.thicknessMm", "0.3", "The cloth is thin"),
        ("fabric.stretchPercent", "0", "The cloth does not give"), ("fabric.pile", "None", "The cloth has no pile"), ("fabric.coated", "false", "The cloth is not coated"),
        ("fabric.colour", "#fbfaf6", "The cloth is white"), ("fabric.colour", "#27303a", "The cloth is dark"),
    ];

    /// <summary>Shares of the height that are tried.</summary>
    private static readonly double[] Sizes = [1.25, 0.8, 1.6, 0.6];

    /// <summary>
    /// The nearest facts, at most <see cref="Told"/>; where no single one would do, the first two together that would. <paramref
    /// name="make"/> plans a job that has no
    /// fault, or gives null where that is too much.
    /// </summary>
    public static IReadOnlyList<LetIn> Of(Job job, Workshop workshop, string decision, string choice, Words.Library library, Func<Job,
        Workshop, Plan?> make)
    {
        var found = new List<LetIn>();
        foreach (var (let, changed, with) in Changed(job, workshop))
        {
            if (found.Count == Told)
            {
                break;
            }

            if (JobCheck.Faults(changed, with, library).Count == 0 && make(changed, with) is { } plan && In(plan, decision, choice))
            {
                found.Add(let);
            }
        }

        return found.Count > 0 ? found : Pairs(job, workshop, decision, choice, library, make).Take(1).ToArray();
    }

    /// <summary>So many pairs are tried: a few seconds beside the request.</summary>
    private const int MostPairs = 300;

    /// <summary>Two facts together, the nearest first: both things to have, then what is true of cloth and use; no other cloth.</summary>
    private static IEnumerable<LetIn> Pairs(Job job, Workshop workshop, string decision, string choice, Words.Library library,
        Func<Job, Workshop, Plan?> make)
    {
        bool Near(LetIn let) => let.Member is not "fabric.kind" and not "capHeightMm" and not "hoopsMm";
        var singles = Changed(job, workshop).Where(c => Near(c.Let)).ToArray();
        var tried = 0;
        for (var both = 1; both < 2 * singles.Length; both++)
        {
            for (var i = Math.Max(0, both - singles.Length + 1); i < (both + 1) / 2; i++)
            {
                var (one, other) = (singles[i], singles[both - i].Let);
                if (one.Let.Member == other.Member && !other.OfWorkshop)
                {
                    continue;
                }

                if (++tried > MostPairs)
                {
                    yield break;
                }

                var second = Changed(one.Job, one.Workshop).FirstOrDefault(c => c.Let.Text == other.Text);
                if (second.Job is not null && JobCheck.Faults(second.Job, second.Workshop, library).Count == 0
                    && make(second.Job, second.Workshop) is { } plan && In(plan, decision, choice))
                {
                    yield return one.Let with { And = other };
                }
            }
        }
    }

    /// <summary>Whether a plan takes a choice or offers it.</summary>
    private static bool In(Plan plan, string decision, string choice) => plan.Decision(decision) is { } now
        && now.RuledOut.All(r => r.ChoiceId != choice)
        && (now.ChoiceId == choice || now.Alternatives.Any(a => a.ChoiceId == choice));

    private static IEnumerable<(LetIn Let, Job Job, Workshop Workshop)> Changed(Job job, Workshop workshop)
    {
        foreach (var tool in Equipment.All.Where(t => !workshop.Equipment.Contains(t.Id, StringComparer.Ordinal)))
        {
            yield return (new LetIn($"{tool.Name} is at hand: {tool.For}", "equipment", string.Join(' ', workshop.Equipment.Append(tool.Id)), true), job,
                workshop with { Equipment = [.. workshop.Equipment, tool.Id] });
        }

        foreach (var inches in Hoops.SoldInches.Where(i => workshop.HoopsMm.All(h => Hoops.Inches(h) != i)))
        {
            var mm = Hoops.NominalMm(inches);
            yield return (new LetIn($"There is a hoop of {inches} in", "hoopsMm",
                string.Join(' ', workshop.HoopsMm.Append(mm).Order().Select(h => h.ToString(CultureInfo.InvariantCulture))), true), job,
                workshop with { HoopsMm = [.. workshop.HoopsMm.Append(mm).Order()] });
        }

        foreach (var share in Sizes)
        {
            if (job.Wordings is [{ CapHeightMm: { } high }, ..])
            {
                var size = Math.Round(high * share);
                if (Piece($"Its capitals are {Say.Length(size)} high", "capHeightMm", size.ToString(CultureInfo.InvariantCulture)) is { } other)
                {
                    yield return other;
                }
            }
        }

        foreach (var (member, value, text) in Facts.Where(f => Changes.Read(job, f.Member) != f.Value))
        {
            if (Piece(text, member, value) is { } other)
            {
                yield return other;
            }
        }

        foreach (var kind in Cloths.All.Where(c => c.Id != job.Fabric?.Kind))
        {
            if (Piece($"It is of {kind.Name}", "fabric.kind", kind.Id) is { } other)
            {
                yield return other;
            }
        }

        (LetIn, Job, Workshop)? Piece(Told text, string member, string value) => Changes.Apply(job, new Change(member, value, "tried out")).Job is { } changed
            ? (new LetIn(text, member, value, false), changed, workshop) : null;
    }
}
