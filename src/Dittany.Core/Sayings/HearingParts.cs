using System.Globalization;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;

namespace Dittany.Core.Sayings;

/// <summary>Parts of motifs, and what they are wished to be.</summary>
internal sealed partial class Hearing
{
    private void TakePart(Candidate phrase)
    {
        var part = phrase.Bits.First(b => b.Meaning == Meaning.Part);
        _parts.Add((part, phrase.Bits.Where(b => b.Meaning is not (Meaning.Part or Meaning.Small)).ToArray(), _elements.Count - 1));
    }

    private void Parts()
    {
        foreach (var (part, wishes, last) in _parts)
        {
            var at = Enumerable.Range(0, _elements.Count).Reverse().OrderByDescending(i => i <= last).FirstOrDefault(i =>
                RoleOf(_elements[i], part.Id) is not null, -1);
            if (at < 0 && MotifLibrary.Find(part.Id) is not null)
            {
                // Cheeks on a toy are motifs of their own.
                _elements.Add(new SaidElement(null, part.Id) { Several = _r.Text(part.From, part.To).EndsWith('s') });
                _links.Add(null);
                foreach (var wish in wishes)
                {
                    Set(_elements.Count - 1, wish);
                }

                continue;
            }

            if (at < 0)
            {
                var whole = wishes.FirstOrDefault(w => w.Meaning == Meaning.Craft);
                Ask(part, $"Nothing here has {Say.Many(part.Name)}: wishes for them hold for a motif.", [new Answer(string.Empty, "leave it out")]);
                _ = whole;
                continue;
            }

            SetPart(at, part with { Id = RoleOf(_elements[at], part.Id) ?? part.Id }, wishes);
        }
    }

    /// <summary>The role of a part by what it is called on a motif; null where the motif has none such.</summary>
    private static string? RoleOf(SaidElement e, string said) => MotifNames.Parts.FirstOrDefault(p => p.Motif == e.Motif && p.Said == said)
        .Role
        ?? RolesOf(e).FirstOrDefault(r => r == said);

    private void SetPart(int at, Bit part, IReadOnlyList<Bit> wishes)
    {
        if (wishes.FirstOrDefault(w => w.Meaning == Meaning.PartCount) is { } many)
        {
            Set(at, many);
            return;
        }

        var wish = new PartAsked(part.Id);
        foreach (var bit in wishes)
        {
            switch (bit.Meaning)
            {
                case Meaning.Colour:
                    wish = wish with { Colour = HexOf(bit) };
                    break;
                case Meaning.Stitch or Meaning.Fill:
                    wish = wish with { Stitch = bit.Id };
                    break;
                case Meaning.Thread:
                    wish = wish with { Thread = bit.Id };
                    break;
                case Meaning.Craft when bit.Id == "beads":
                    wish = wish with { Stitch = PartAsked.Beads };
                    break;
                case Meaning.Craft when bit.Id != "stitch":
                    Ask(bit, $"A part of a motif is stitched or beaded: “{bit.Name}” is for a whole motif, and is left out here.", [new Answer(string.Empty, "leave it out")]);
                    break;
                case Meaning.Strands when int.Parse(bit.Id, CultureInfo.InvariantCulture) is var n && Bundle.Is(n):
                    wish = wish with { Strands = n };
                    break;
                case Meaning.Strands:
                    Ask(bit, $"A thread cannot be {bit.Name} thick: for the {part.Name} the plan takes what suits it.", []);
                    break;
                default:
                    break;
            }
        }

        if (wish != new PartAsked(part.Id))
        {
            _elements[at] = _elements[at] with { Parts = [.. _elements[at].Parts, wish] };
        }
    }

    private static IReadOnlyList<string> RolesOf(SaidElement e) => e.Motif is null || MotifLibrary.Find(e.Motif) is not { } motif ? []
        : motif.Draw(new MotifShape(motif.Counted?.Most)).Parts.Select(p => p.Role).Distinct(StringComparer.Ordinal).ToArray();
}
