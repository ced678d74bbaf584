using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Threads;

namespace Dittany.Core.Tests.Threads;

/// <summary>Threads other than stranded cotton: how wide, how long, with which needle, and where not.</summary>
public class ThreadKindTests
{
    /// <summary>
    /// A yarn of cotton count Ne is 1/(28 √Ne) inches across (Peirce, The Geometry of Cloth Structure, Journal of the Textile Institute 28,
    /// 1937). Pearl cotton 5, 8 and 12 weigh 5 g in 25 m, 10 g in 80 m and 10 g in 120 m as they are sold; Ne is 590.5 over tex. Drawn into
    /// cloth a round cord lies wider than that, by the same share whatever its number.
    /// </summary>
    [Theory]
    [InlineData("pearl-5", 25, 5)]
    [InlineData("pearl-8", 80, 10)]
    [InlineData("pearl-12", 120, 10)]
    public void Cords_are_as_wide_as_they_weigh(string id, double metres, double grams)
    {
        var kind = ThreadKinds.Find(id)!;
        var across = 25.4 / (28 * Math.Sqrt(590.5 / (1000 * grams / metres)));
        Assert.InRange(kind.Lies(1) / across, 1.3, 1.65);
        Assert.Equal(metres * 1000, kind.PutUp.LengthMm);
    }

    /// <summary>
    /// What holds of every kind: it is worked in what it can be worked in, and more of it lies wider, by less than twice.
    /// </summary>
    [Fact]
    public void Every_kind_is_sound()
    {
        Assert.Equal(ThreadKinds.All.Count, ThreadKinds.All.DistinctBy(k => k.Id).Count());
        foreach (var kind in ThreadKinds.All)
        {
            Assert.Contains(kind.Usual, kind.Plies);
            Assert.True(kind.Plies.Zip(kind.Plies.Skip(1)).All(p => kind.Lies(p.Second) > kind.Lies(p.First)
                && kind.Lies(p.Second) < kind.Lies(p.First) * p.Second / p.First));
            var size = new ThreadSize(kind, kind.Usual);
            Assert.InRange(Bundle.WidthMm(size.InStrands) / size.WidthMm, 0.75, 2.1);
        }

        Assert.Equal(3, ((ThreadSize)3).Ply);
        Assert.Equal("3 strands", ((ThreadSize)3).Said);
    }

    /// <summary>
    /// Metallic is worked doubled in 30 cm, with a large eye; wool no longer than 38 cm (common practice): whatever her habit or her wish
    /// is, and the wish that is not followed is told.
    /// </summary>
    [Theory]
    [InlineData("metallic", 300, "chenille-22", 600)]
    [InlineData("wool", 380, null, 380)]
    public void What_frays_or_wears_is_worked_short(string thread, double most, string? needle, double cut)
    {
        var job = Samples.Towel() with
        {
            Form = "cushion-cover",
            Elements = [new TextElement("name", "Juniper", CapHeightMm: 30) { Thread = thread }],
            Overrides = OverrideSet.Of(("thread.cut-length", "900")),
        };
        var plan = Samples.Make(job, Workshop.Default);
        var need = Assert.Single(plan.Threads);
        Assert.Equal(thread, need.Thread.Family);
        Assert.Equal(cut, need.CutMm);
        if (needle is not null)
        {
            Assert.Equal(needle, need.Needle);
        }

        foreach (var run in plan.Route.GroupBy(r => r.Run))
        {
            var parts = plan.Elements[0].Parts;
            Assert.InRange(run.Sum(r => parts[r.Part].Stitches[r.Stitch].ThreadMm + r.BackMm) * Cutting.TakeUp, 0, most);
        }

        var told = plan.Decision("thread.cut-length")!;
        Assert.True(told.NotFollowed is not null, $"{told.Choice} {string.Join(' ', told.Because)}");
        Assert.Contains("are not followed", string.Join(' ', told.NotFollowed!), StringComparison.Ordinal);
    }

    /// <summary>
    /// The line is as wide as the thread and the stitch make it, in every kind that writes: what is planned is what was measured.
    /// </summary>
    [Fact]
    public void Words_are_written_in_every_thread()
    {
        foreach (var kind in ThreadKinds.All)
        {
            var job = Samples.Towel() with { Elements = [new TextElement("name", "Iris", CapHeightMm: 28) { Thread = kind.Id }] };
            var plan = Samples.Make(job, Workshop.Default);
            var element = plan.Elements[0];
            Assert.All(element.Parts, p => Assert.Equal(kind, p.Thread.Kind));
            var part = element.Parts.First(p => p.Role == "letter");
            Assert.Equal(Book.Find(part.Stitch)!.LineWidthMm(part.Thread.Size), element.LineWidthMm);
            Assert.Null(ThreadRules.Against(kind, Book.Find(part.Stitch)!));
            Assert.Equal(kind.Id, plan.Decision("thread.kind")!.ChoiceId);
        }
    }

    /// <summary>
    /// A cord is not split, and what frays goes through as few holes as can be (common practice): told with what would do.
    /// </summary>
    [Theory]
    [InlineData("pearl-8", 3, null, "/elements/0/strands", "no strands that part")]
    [InlineData("pearl-8", null, "split", "/elements/0/stitch", "does not part")]
    [InlineData("metallic", null, "chain", "/elements/0/stitch", "frays")]
    [InlineData("silk", null, null, "/elements/0/thread", "There is no thread")]
    public void What_cannot_be_is_told_with_its_field(string thread, int? strands, string? stitch, string at, string told)
    {
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Iris", Strands: strands, Stitch: stitch) { Thread = thread }] };
        var fault = Assert.Single(Samples.Faults(job, Workshop.Default));
        Assert.EndsWith(at, fault.Pointer, StringComparison.Ordinal);
        Assert.Contains(told, fault.Detail, StringComparison.Ordinal);
        Assert.NotEmpty(fault.Try);
    }

    /// <summary>Strands that were chosen before give way to a cord, and that is said where they were chosen.</summary>
    [Fact]
    public void Strands_chosen_before_are_not_lost_silently()
    {
        var plan = Samples.Make(Samples.Towel() with
        {
            Elements = [new TextElement("name", "Iris") { Thread = "pearl-8" }],
            Overrides = OverrideSet.Of(("thread.strands", "4"), ("stitch.outline", "split")),
        }, Workshop.Default);
        Assert.Contains("4 strands, your wish, are not followed", string.Join(' ', plan.Decision("thread.strands")!.NotFollowed!),
            StringComparison.Ordinal);
        Assert.Contains("Split stitch, your wish, is not followed", string.Join(' ', plan.Decision("stitch.outline")!.NotFollowed!),
            StringComparison.Ordinal);
        Assert.NotEqual("split", plan.Decision("stitch.outline")!.ChoiceId);
    }

    /// <summary>
    /// Wool and metallic next to a baby's skin are ruled out, with why; overruled they are stitched, and the harm is told first.
    /// </summary>
    [Theory]
    [InlineData("wool", "itches")]
    [InlineData("metallic", "scratches")]
    public void Next_to_skin_some_threads_are_ruled_out(string thread, string told)
    {
        var job = Samples.Towel() with { Form = "baby-bodysuit", Elements = [new TextElement("name", "Zoë")] };
        var out1 = Assert.Single(Samples.Make(job, Workshop.Default).Decision("thread.kind")!.RuledOut, r => r.ChoiceId == thread);
        Assert.Contains(told, string.Join(' ', out1.Because), StringComparison.Ordinal);
        var overruled = Samples.Make(job with { Overrides = OverrideSet.Of(("thread.kind", thread)) }, Workshop.Default);
        var first = overruled.Decision("thread.kind")!.Because.Select(b => b.ToString())
            .First(b => b.StartsWith("Think", StringComparison.Ordinal));
        Assert.Contains(told, first, StringComparison.Ordinal);
        Assert.All(overruled.Elements[0].Parts, p => Assert.Equal(thread, p.Thread.Family));
    }

    /// <summary>Part by part: petals in wool, the rest in cotton, each with its own needle and its own skeins.</summary>
    [Fact]
    public void Parts_have_threads_of_their_own()
    {
        var job = Samples.Towel() with
        {
            Form = "cushion-cover",
            Elements = [new MotifElement("flower", "daisy", HeightMm: 60) { ByPart = [new("petal") { Thread = "wool" }] }],
        };
        var plan = Samples.Make(job, Workshop.Default);
        var parts = plan.Elements[0].Parts;
        Assert.All(parts.Where(p => p.Role == "petal"), p => Assert.Equal("wool", p.Thread.Family));
        Assert.All(parts.Where(p => p.Role != "petal"), p => Assert.Equal("cotton", p.Thread.Family));
        Assert.Contains(plan.Threads, t => t.Thread.Family == "wool" && t.Needle != "crewel-9");
        var told = string.Join(' ', plan.Decision("thread.kind")!.Because);
        Assert.Contains("Petals in crewel wool.", told, StringComparison.Ordinal);
        Assert.Contains("Stroke it both ways", told, StringComparison.Ordinal);
        Assert.DoesNotContain("Think twice", told, StringComparison.Ordinal);

        // Where it would be worn on skin the harm is told, though only a part is in it.
        var worn = string.Join(' ', Samples.Make(job with { Form = "baby-bodysuit" }, Workshop.Default).Decision("thread.kind")!.Because);
        Assert.Contains("Think twice: wool itches", worn, StringComparison.Ordinal);
    }

    /// <summary>Measured by her, a thread is as wide as she says: the line follows, and so does the least height it writes.</summary>
    [Fact]
    public void A_measured_width_changes_every_plan()
    {
        var hers = Workshop.Default with { ThreadWidthsMm = new Dictionary<string, double> { ["cotton"] = 0.5 } };
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Iris", Stitch: "backstitch", Strands: 3, CapHeightMm: 20)] };
        var (ours, theirs) = (Samples.Make(job, Workshop.Default).Elements[0], Samples.Make(job, hers).Elements[0]);
        Assert.Equal(ours.LineWidthMm * 1.25, theirs.LineWidthMm, 0.002);
        var stitch = Book.Find("backstitch")!;
        Assert.True(stitch.LeastCapMm(new ThreadSize(hers.Thread(ThreadKinds.Cotton), 3)) > stitch.LeastCapMm(3));
    }

    /// <summary>
    /// A variegated repeat laid along the work: walking the route and adding up the thread gives for every stitch the tone it has, whoever
    /// adds; the shares of the repeat are one whole, and what is seen has them all.
    /// </summary>
    [Fact]
    public void A_variegated_thread_turns_along_its_stitches()
    {
        Assert.Equal(1, Variegation.Tones.Sum(t => t.Share), 9);
        Assert.Equal([0, 1, 2, 3, 0], new[] { 0, 0.31, 0.55, 0.85, 1.0 }.Select(s => Variegation.ToneAt(s * Variegation.RepeatMm)));
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Juniper", CapHeightMm: 30) { Thread = "variegated", Colour = "#8f3a67" }] };
        var plan = Samples.Make(job, Workshop.Default);
        var parts = plan.Elements[0].Parts;
        var (cut, used, seen) = (-1, 0.0, new HashSet<string>());
        foreach (var row in plan.Route)
        {
            if (row.Cut)
            {
                (cut, used) = (cut + 1, row.AtMm);
            }

            // Where a length ends and goes on with its rest, thread goes into the ends.
            used = row.FloatKind == Core.Route.FloatKind.NewThread ? row.AtMm : used;
            var stitch = parts[row.Part].Stitches[row.Stitch];
            var tone = parts[row.Part].Tones[row.Stitch];
            Assert.Equal(Variegation.At("#8f3a67", (cut * plan.Threads[0].CutMm) + used + (stitch.ThreadMm / 2)), tone);
            used += (stitch.ThreadMm + (row.FloatKind == Core.Route.FloatKind.NewThread ? 0 : row.BackMm)
                + (stitch.Passes * plan.Item.Cloth.ThicknessMm)) * Cutting.TakeUp;
            seen.Add(tone);
        }

        Assert.Equal(3, seen.Count);
        Assert.Contains("within", string.Join(' ', plan.Decision("thread.kind")!.Because), StringComparison.Ordinal);
        Assert.All(Samples.Make(Samples.Towel(), Workshop.Default).Elements[0].Parts, p => Assert.Empty(p.Tones));
    }

    /// <summary>
    /// Too thick to be drawn through fine cloth, a thread is laid and couched (common practice): its ties are one strand of cotton of its
    /// colour, and every tie reaches over it from side to side.
    /// </summary>
    [Fact]
    public void What_is_too_thick_for_the_cloth_is_laid_and_couched()
    {
        var job = Samples.Towel() with { Form = "handkerchief", Elements = [new TextElement("name", "Io", CapHeightMm: 30) { Thread = "pearl-5" }] };
        var plan = Samples.Make(job, Workshop.Default);
        Assert.Equal("couching", plan.Decision("stitch.outline")!.ChoiceId);
        Assert.Contains("too thick", string.Join(' ', plan.Decision("stitch.outline")!.Because), StringComparison.Ordinal);
        var parts = plan.Elements[0].Parts.Where(p => p.Role == "letter").ToArray();
        var (laid, ties) = (parts.Where(p => p.Thread.Family == "pearl-5").ToArray(), parts.Where(p => p.Thread.Family == "cotton").ToArray());
        Assert.NotEmpty(laid);
        Assert.NotEmpty(ties);
        Assert.All(ties, p => Assert.Equal((1, laid[0].Colour), (p.Strands, p.Colour)));
        Assert.All(ties.SelectMany(p => p.Stitches), s => Assert.InRange(s.LengthMm, ThreadKinds.Find("pearl-5")!.Lies(1), 2 * ThreadKinds.Find("pearl-5")!.Lies(1)));
        Assert.Equal(2, plan.Threads.Count);

        // On stout cloth it is sewn.
        Assert.NotEqual("couching", Samples.Make(job with { Form = "tote" }, Workshop.Default).Decision("stitch.outline")!.ChoiceId);
    }

    /// <summary>
    /// What frays is drawn slowly (common practice), so the same words take longer in metallic thread; wool a little; pearl cotton no
    /// longer than cotton.
    /// </summary>
    [Theory]
    [InlineData("metallic", 1.35)]
    [InlineData("wool", 1.1)]
    [InlineData("pearl-8", 1)]
    public void A_thread_that_frays_is_slow(string kind, double share)
    {
        var line = Tests.Stitches.Strokes.Sewn(Tests.Stitches.Strokes.Line(80),
            StitchSpec.For(new Pair(Book.Plainest, 2), new StitchSchools()))!.Stitches;
        var other = line.With(new ThreadSize(ThreadKinds.Find(kind)!, ThreadKinds.Find(kind)!.Usual));
        Assert.Equal(share, other.Sum(s => s.Seconds) / line.Sum(s => s.Seconds), 6);
    }

    /// <summary>Her own threads are offered beside ours, the nearest first, of the kind that is used; taking one is followed.</summary>
    [Fact]
    public void Her_threads_are_offered()
    {
        var workshop = Workshop.Default with
        {
            Threads = [new OwnThread("Aunt’s blue", "#2f5f8f", "cotton"), new OwnThread("far red", "#b03030", "cotton"), new OwnThread("wool blue", "#2f5f90", "wool")],
        };
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Io", Colour: "#2a5a8a")] };
        var hers = Samples.Make(job, workshop).Decision("thread.colour")!.Alternatives.Where(a => a.Text.ToString().EndsWith("yours", StringComparison.Ordinal)).ToArray();
        Assert.Equal(["#2f5f8f", "#b03030"], hers.Select(h => h.ChoiceId));
        var taken = Samples.Make(job with
        {
            Elements = [new TextElement("name", "Io")],
            Overrides = OverrideSet.Of(("thread.colour", hers[0].ChoiceId)),
        }, workshop);
        Assert.All(taken.Elements[0].Parts, p => Assert.Equal("#2f5f8f", p.Colour));
    }
}
