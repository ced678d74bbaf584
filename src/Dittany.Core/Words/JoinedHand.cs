using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// Dittany's joined hand: letters run into each other as a pen would write them, so that a name is one line of thread with a few crossings
/// and dots after it. The joins are true: each runs from where the one letter leaves to where the next is entered, in the direction of
/// both.
/// </summary>
public static partial class JoinedHand
{
    /// <summary>How far the hand leans: to the right by so much of the height.</summary>
    private const double Lean = 0.16;

    /// <summary>
    /// From where a letter leaves to the left edge of the next, in units; more where it leaves at the top and the next is entered lower.
    /// </summary>
    private const double Apart = 13;

    private const double ApartFromTop = 6;

    private const double DownFromTop = 20;

    /// <summary>
    /// A join from the top runs into a tall letter half way up its loop, as a pen would: at this parameter of the loop's first curve; and
    /// so far apart they stand then.
    /// </summary>
    private const double IntoLoop = 0.55;

    private const double ApartFromTopToLoop = 9;

    /// <summary>Handles of a join, as a share of its length.</summary>
    private const double Ease = 0.42;

    /// <summary>A letter that leaves higher than this leaves at the top.</summary>
    private const double TopFrom = 40;

    private static readonly Dictionary<string, Form> Drawn = Letters.Split('\n',
        StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(Form.Read).ToDictionary(f => f.Letter,
        StringComparer.Ordinal);

    public static IAlphabet Alphabet { get; } = new Hand();

    private enum Entry
    {
        Top,
        Over,
        Loop,
        Eye,
    }

    private static Pt Leant(Pt p) => new(p.X + (Lean * p.Y), p.Y);

    private sealed record Form(string Letter, Entry? Entry, bool Lifts, Stroke Main, IReadOnlyList<Curve> WhenJoined,
        IReadOnlyList<Curve> WhenNot, IReadOnlyList<Stroke> Before, IReadOnlyList<Stroke> After)
    {
        public static Form Read(string row)
        {
            var fields = row.Split(" | ");
            var head = fields[0].Split(' ');
            Stroke[] Of(char kind) => fields.Skip(1).Where(f => f[0] == kind).Select(f => StrokeReading.Read(f[2..]).Map(Leant)).ToArray();
            var main = Of('S').Single();
            return new Form(
                head[0],
                head[1] == "-" ? null : Enum.Parse<Entry>(head[1], ignoreCase: true),
                head[^1] == "end",
                main with { Closed = false },
                [.. Of('J').SelectMany(s => s.Curves)],
                [.. Of('I').SelectMany(s => s.Curves)],
                Of('B'),
                Of('D'));
        }

        /// <summary>Where the pen is when the letter is entered.</summary>
        public Pt In => WhenJoined.Count > 0 ? WhenJoined[0].P0 : Main.Start;

        /// <summary>Which way the pen goes then: a join that ends in a cusp comes up to it, any other runs on.</summary>
        public Pt InWay => Unit(Entry switch
        {
            JoinedHand.Entry.Top => new Pt(0.55, 1),
            JoinedHand.Entry.Over when WhenJoined.Count == 0 => new Pt(1, 0.7),
            _ => (WhenJoined.Count > 0 ? WhenJoined[0] : Main.Curves[0]).Velocity(0),
        });

        public Pt Out => Main.End;

        public Pt OutWay => Unit(Main.Curves[^1].Velocity(1));

        private static Pt Unit(Pt d) => d * (1 / d.Length);
    }

    private sealed class Hand() : DrawnHand("joined-hand", "Joined hand",
        "Letters run into each other: a name is one line of thread, with few ends.", UprightHand.Letters, UprightHand.Marks)
    {
        /// <summary>Pairs of letters whose join is kept: more than any language has.</summary>
        private const int MostJoins = 5_000;

        private readonly Kept<(string, string), IReadOnlyList<Stroke>> _joined = new(MostJoins);

        public override ShapedRow Shape(string row, double wider)
        {
            var letters = new List<ShapedLetter>();
            var spaces = new List<double>();
            var (at, last, lastForm, lastGlyph) = (0.0, (string?)null, (Form?)null, (Glyph?)null);
            foreach (var letter in Rows.Letters(row))
            {
                if (Rows.IsSpace(letter))
                {
                    var end = lastGlyph is null ? at : at + lastGlyph.InkTo;
                    spaces.Add(end + (Setting.WordSpace * Alphabets.CapUnits / 2));
                    (at, last, lastForm, lastGlyph) = (end + (Setting.WordSpace * Alphabets.CapUnits) + wider, null, null, null);
                    continue;
                }

                var (glyph, form) = (Find(letter).Sure(), FormOf(letter));
                if (lastForm is { Lifts: false } && form is { Entry: not null })
                {
                    var step = Step(lastForm, form) + wider;
                    at += step;
                    var strokes = wider == 0 ? _joined.Of((last.Sure(), letter), _ => Joined(lastForm, form, glyph, step))
                        : Joined(lastForm, form, glyph, step);
                    letters.Add(new ShapedLetter(letter, glyph, at, double.PositiveInfinity, true, strokes));
                }
                else
                {
                    var gap = double.PositiveInfinity;
                    if (lastGlyph is not null)
                    {
                        var beside = Beside(lastGlyph, glyph);
                        gap = beside.Gap + wider;
                        at += lastGlyph.InkTo + lastGlyph.Right + beside.Kern + glyph.Left - glyph.InkFrom + wider;
                    }
                    else
                    {
                        at -= glyph.InkFrom;
                    }

                    letters.Add(new ShapedLetter(letter, glyph, at, gap));
                }

                (last, lastForm, lastGlyph) = (letter, form, glyph);
            }

            return new ShapedRow(letters, spaces);
        }

        protected override double MiddleOf(Glyph @base) =>
            Drawn.TryGetValue(@base.Letter, out var form) ? Middle(form) + (Lean * 80) : base.MiddleOf(@base);

        /// <summary>A letter of the joined hand as it stands alone; what it has not of its own is the upright hand's, leant.</summary>
        protected override Glyph? DrawnAs(string letter)
        {
            if (Drawn.TryGetValue(letter, out var form))
            {
                return Made(letter, [.. form.Before, Alone(form), .. form.After]);
            }

            return base.DrawnAs(letter) is { } upright ? Made(letter, upright.Strokes.Select(s => s.Map(Leant)).ToArray()) : null;
        }

        private static Glyph Made(string letter, IReadOnlyList<Stroke> strokes)
        {
            var points = strokes.SelectMany(s => s.Flatten(0.1)).ToArray();
            return new Glyph(letter, 9, 9, points.Min(p => p.X), points.Max(p => p.X), strokes);
        }

        private static Stroke Alone(Form form) => form.WhenNot.Count == 0 ? form.Main
            : new Stroke([.. form.WhenNot, .. form.Main.Curves], false);

        /// <summary>Half way between the leftmost and the rightmost of the small letter's body, the exit not counted.</summary>
        private static double Middle(Form form)
        {
            var body = form.Main.Flatten(0.5).Where(p => p.Y > 20).Select(p => p.X - (Lean * p.Y)).ToArray();
            return (body.Min() + body.Max()) / 2;
        }

        /// <summary>The form of the letter's base: accents do not change how it is joined.</summary>
        private static Form? FormOf(string letter) =>
            Drawn.GetValueOrDefault(letter) ?? (letter.Normalize(System.Text.NormalizationForm.FormD) is { Length: > 1 } parts
                ? Drawn.GetValueOrDefault(parts[..1]) : null);

        /// <summary>From the one letter's x = 0 to the next one's.</summary>
        private static double Step(Form from, Form to)
        {
            var apart = Apart;
            if (from.Out.Y > TopFrom)
            {
                apart = to.Entry switch { Entry.Eye => DownFromTop, Entry.Loop => ApartFromTopToLoop, _ => ApartFromTop };
            }

            // Leaning is taken out: distances are those of the upright letters.
            return from.Out.X - (Lean * from.Out.Y) + apart;
        }

        private static Stroke[] Joined(Form from, Form to, Glyph glyph, double step)
        {
            var intoLoop = from.Out.Y > TopFrom && to.Entry == Entry.Loop;
            var body = intoLoop ? [to.Main.Curves[0].After(IntoLoop), .. to.Main.Curves.Skip(1)] : to.Main.Curves;
            var (start, end) = (from.Out - new Pt(step, 0), intoLoop ? body[0].P0 : to.In);
            var inWay = intoLoop ? body[0].Velocity(0) * (1 / body[0].Velocity(0).Length) : to.InWay;
            var ease = Ease * start.To(end);
            var main = new Stroke([new Curve(start, start + (from.OutWay * ease), end - (inWay * ease), end), .. to.WhenJoined, .. body],
                false);

            // Accents stand behind the letter's own strokes in its glyph.
            var own = to.Before.Count + 1;
            return [main, .. to.Before, .. glyph.Strokes.Skip(own)];
        }
    }
}
