using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;

namespace Dittany.Core.Sayings;

/// <summary>Wishes for elements and for parts of motifs.</summary>
internal sealed partial class ChangeReader
{
    /// <summary>A wish of a part, or of the elements it fits.</summary>
    private void Wish(Bit value)
    {
        if (_roles.Count > 0)
        {
            foreach (var role in _roles)
            {
                PartWish(role, value);
            }

            return;
        }

        var ids = value.Meaning switch
        {
            Meaning.Style or Meaning.Rows => Of(IsText),
            Meaning.MotifsWay => Of(id => !IsText(id) || Core.Words.Arrangement.Ids.Contains(value.Id)),
            Meaning.WordsWay => Of(id => IsText(id) || Arranging.Ids.Contains(value.Id)),
            _ => Of(),
        };
        if (ids.Count == 0)
        {
            Ask(value.From, value.To, $"“{value.Name}” fits nothing that is on the piece: nothing was changed by it.");
            return;
        }

        foreach (var id in ids)
        {
            One(id, value);
        }
    }

    private void One(string id, Bit value)
    {
        var hex = value.Meaning == Meaning.Colour ? Nearest(value) : null;
        var n = value.Meaning is Meaning.Strands or Meaning.Rows ? int.Parse(value.Id, CultureInfo.InvariantCulture) : 0;
        if (value.Meaning == Meaning.Strands && !Bundle.Is(n))
        {
            Ask(value.From, value.To, $"A thread cannot be {value.Name} thick: nothing was changed by it.");
            return;
        }

        Func<Job, Job>? edit = value.Meaning switch
        {
            Meaning.Colour => j => On(j, id, e => e with { Colour = hex }, m => m with { Colour = hex }),
            Meaning.Stitch => j => On(j, id, e => e with { Stitch = value.Id }, m => m with { Stitch = value.Id }),
            Meaning.Fill => j => j with { Overrides = j.Overrides.With(Heard.Key(j, "stitch.fill", id), value.Id) },
            Meaning.Thread => j => On(j, id, e => e with { Thread = value.Id }, m => m with { Thread = value.Id }),
            Meaning.Strands => j => On(j, id, e => e with { Strands = n }, m => m with { Strands = n }),
            Meaning.Style => j => On(j, id, e => e with { Alphabet = value.Id }, m => m),
            Meaning.Craft => j => On(j, id, e => e with { Craft = value.Id }, m => m with { Craft = value.Id }),
            Meaning.Rows => j => On(j, id, e => e with { Rows = n }, m => m),
            Meaning.WordsWay or Meaning.MotifsWay => j => On(j, id, e => e with { Arrangement = value.Id }, m => m with { Arrangement = value.Id, Count = value.Id == "pair" ? null : m.Count }),
            Meaning.Width => j => On(j, id, e => e with { WidthMm = value.Mm, CapHeightMm = null }, m => m with { WidthMm = value.Mm }),
            Meaning.Height => j => On(j, id, e => e with { CapHeightMm = value.Mm, WidthMm = null }, m =>
                m with { HeightMm = value.Mm }),
            Meaning.Length => j => On(j, id, e => e with { CapHeightMm = value.Mm, WidthMm = null }, m => m with
            {
                WidthMm = value.Mm,
                HeightMm = value.Mm
            }),
            _ => null,
        };
        if (edit is not null)
        {
            _done.Add(new Done($"{Say.Upper(Called(id))}: {ToldOf(value, hex)}.", edit));
        }
    }

    private void PartWish(string said, Bit value)
    {
        var motif = job.Motifs.FirstOrDefault(m => RoleOf(m, said) is not null && (_targets.Count == 0 || _targets.Contains(m.Id,
            StringComparer.Ordinal)));
        if (motif is null || RoleOf(motif, said) is not { } role)
        {
            return;
        }

        var hex = value.Meaning == Meaning.Colour ? Nearest(value) : null;
        Func<PartAsked, PartAsked>? wish = value.Meaning switch
        {
            Meaning.Colour => p => p with { Colour = hex },
            Meaning.Stitch or Meaning.Fill => p => p with { Stitch = value.Id },
            Meaning.Thread => p => p with { Thread = value.Id },
            Meaning.Craft when value.Id == "beads" => p => p with { Stitch = PartAsked.Beads },
            Meaning.Strands when int.Parse(value.Id, CultureInfo.InvariantCulture) is var n && Bundle.Is(n) => p =>
                p with { Strands = n },
            _ => null,
        };
        if (wish is null)
        {
            Ask(value.From, value.To, $"“{value.Name}” is nothing a part can be: nothing was changed by it.");
            return;
        }

        _done.Add(new Done($"The {Say.Many(said.Replace('-', ' '))}: {ToldOf(value, hex)}.", j => On(j, motif.Id, e => e, m => m with
        {
            ByPart = [.. m.ByPart.Where(p => p.Role != role || p.Copy is not null), wish(m.ByPart.LastOrDefault(p => p.Role == role
                && p.Copy is null) ?? new PartAsked(role))],
        })));
    }

    private static string ToldOf(Bit value, string? hex) => value.Meaning switch
    {
        Meaning.Colour => Palette.NameOf(hex ?? value.Id) is var name && name == value.Name ? name : $"{name}, nearest to {value.Name}",
        Meaning.Width => $"{Say.Number(value.Mm)} mm wide",
        Meaning.Height => $"{Say.Number(value.Mm)} mm high",
        Meaning.Length => $"{Say.Number(value.Mm)} mm",
        _ => value.Name,
    };

    private static string Nearest(Bit value) => Palette.Nearest(value.Id).Hex;

    private static string? RoleOf(MotifElement motif, string said) => MotifNames.Parts.FirstOrDefault(p => p.Motif == motif.Motif
        && p.Said == said).Role
        ?? Lexicon.Shared.PartsOf(motif.Motif).FirstOrDefault(p => p == said);

    private static Job On(Job j, string id, Func<TextElement, TextElement> words, Func<MotifElement, MotifElement> motif) =>
        j.With(id, e => e switch { TextElement text => words(text), MotifElement drawn => motif(drawn), _ => e });
}
