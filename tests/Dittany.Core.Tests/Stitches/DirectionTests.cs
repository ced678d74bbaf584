using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Planning;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Tests.Planning;
using FsCheck.Fluent;

namespace Dittany.Core.Tests.Stitches;

/// <summary>Stitches that lie otherwise in one place than in another, against the geometry of fans, rays and parallels.</summary>
[Trait("Lane", "long")]
public class DirectionTests
{
    private static readonly string[] Fields = ["long-and-short", "brick", "directional-straight", "satin"];

    private static Area Disc(double radius) => new([Stroke.Ring(Enumerable.Range(0, 90).Select(i => Math.Tau * i / 90)
        .Select(a => new Pt(50 + (radius * Math.Cos(a)), 50 + (radius * Math.Sin(a)))).ToArray())]);

    private static Placed Sew(string fill, Area area, Direction direction, double free = 12) => Book.Fill(fill)!.Sew(new Shape("a", area),
        new SewingBy(StitchSpec.For(new Pair(Book.Plainest, 2), new StitchSchools())) { MostFreeMm = free, Direction = direction })!;

    /// <summary>The angle between a stitch and a way, degrees, at most 90.</summary>
    private static double Off(Core.Stitches.Needle.Stitch stitch, Pt way)
    {
        var d = stitch.ToMm - stitch.FromMm;
        return Math.Acos(Math.Min(1, Math.Abs(Pt.Dot(d, way)) / Math.Max(1e-9, d.Length * way.Length))) * 180 / Math.PI;
    }

    /// <summary>Out from the middle of a disc every stitch lies on a ray.</summary>
    [Theory]
    [InlineData("long-and-short")]
    [InlineData("brick")]
    [InlineData("directional-straight")]
    public void Out_from_the_middle_stitches_are_rays(string fill)
    {
        var placed = Sew(fill, Disc(18), new Direction(DirectionKind.FromMiddle));
        var middle = new Pt(50, 50);
        Assert.All(placed.Stitches.Where(s => s.FromMm.To(middle) > 3 && s.ToMm.To(middle) > 3), s =>
            Assert.InRange(Off(s, Pt.Lerp(s.FromMm, s.ToMm, 0.5) - middle), 0, 4));
        Assert.InRange(placed.Filling!.Coverage, fill == "directional-straight" ? 0.4 : 0.85, 1);
        Assert.Equal(DirectionKind.FromMiddle, placed.Filling.Lies);
    }

    /// <summary>A fan from the foot: every stitch, made longer, goes by one place behind the foot.</summary>
    [Fact]
    public void A_fan_from_the_foot_has_one_source()
    {
        var area = new Area([Stroke.Ring([new(0, 0), new(30, -10), new(34, 0), new(30, 10)])]);
        var placed = Sew("brick", area, new Direction(DirectionKind.FromFoot));
        var source = new Pt(-34 * 0.25, 0);
        Assert.All(placed.Stitches.Where(s => s.LengthMm > 1), s =>
            Assert.InRange(Off(s, Pt.Lerp(s.FromMm, s.ToMm, 0.5) - source), 0, 3));
        Assert.True(placed.Stitches.Max(s => Math.Abs(s.ToMm.Y - s.FromMm.Y) / s.LengthMm) > Math.Sin(10 * Math.PI / 180));
    }

    /// <summary>Two parallel lines make parallels; a quarter of a circle as a line makes stitches that turn with it.</summary>
    [Fact]
    public void Along_lines_stitches_lie_as_the_lines_run()
    {
        var thirty = new Pt(Math.Cos(Math.PI / 6), Math.Sin(Math.PI / 6));
        var parallel = Sew("long-and-short", Disc(15), Direction.Along(
            [[new Pt(40, 40), new Pt(40, 40) + (thirty * 15)], [new Pt(50, 60), new Pt(50, 60) - (thirty * 9)]]));
        Assert.All(parallel.Stitches, s => Assert.InRange(Off(s, thirty), 0, 3));

        var about = new Pt(30, 30);
        var arc = Enumerable.Range(0, 31).Select(i => Math.PI / 2 * i / 30).Select(a =>
            about + (new Pt(Math.Cos(a), Math.Sin(a)) * 25)).ToArray();
        var turning = Sew("brick", Disc(12), Direction.Along([arc]), free: 4);
        Assert.All(turning.Stitches.Where(s => Math.Abs(Pt.Lerp(s.FromMm, s.ToMm, 0.5).To(about) - 25) < 4 && s.LengthMm > 1), s =>
        {
            var ray = Pt.Lerp(s.FromMm, s.ToMm, 0.5) - about;
            Assert.InRange(Off(s, new Pt(-ray.Y, ray.X)), 0, 12);
        });
    }

    /// <summary>
    /// On random shapes and directions: all of it lies in the area and is covered, and the same again comes out the same.
    /// </summary>
    [ManyTimes(25)]
    public FsCheck.Property Any_direction_covers_the_area() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from corners in Gen.ArrayOf(Gen.Choose(10, 30), 7)
            from kind in Gen.Elements(DirectionKind.FromFoot, DirectionKind.FromMiddle, DirectionKind.Along, DirectionKind.ByLines)
            from fill in Gen.Elements(Fields)
            from line in Gen.ArrayOf(Gen.Choose(20, 80), 6)
            select (corners, kind, fill, line)),
        input =>
        {
            var area = new Area([Stroke.Ring(input.corners.Select((r, i) => new Pt(50 + (r * Math.Cos(Math.Tau * i / 7)),
                50 + (r * Math.Sin(Math.Tau * i / 7)))).ToArray())]);
            var direction = input.kind != DirectionKind.ByLines ? new Direction(input.kind)
                : Direction.Along([input.line.Chunk(2).Select(c => new Pt(c[0], c[1])).ToArray()]);
            var name = $"{input.fill} {input.kind} [{string.Join(' ', input.corners)}] [{string.Join(' ', input.line)}]";
            var placed = Sew(input.fill, area, direction, free: 60);
            var region = area.Covers().Offset(0.05);
            Assert.All(placed.Stitches, s => Assert.True(region.Holds(s.FromMm) && region.Holds(s.ToMm), name));
            Assert.True(placed.Filling!.Coverage > (input.fill == "directional-straight" ? 0.4 : 0.72), $"{name} {placed.Filling.Coverage}");
            Assert.True(placed.Stitches.Moves.SequenceEqual(Sew(input.fill, area, direction, free: 60).Stitches.Moves), name);
        });

    /// <summary>How a stroke was moved is found from the stroke alone: turned, mirrored, scaled and moved.</summary>
    [ManyTimes(60)]
    public FsCheck.Property A_mapping_is_found_again() => Prop.ForAll(
        FsCheck.Fluent.Arb.From(
            from turn in Gen.Choose(0, 359)
            from size in Gen.Choose(1, 400)
            from mirrored in Gen.Elements(true, false)
            from x in Gen.Choose(-300, 300)
            select (turn, size, mirrored, x)),
        input =>
        {
            var (c, s) = (Math.Cos(input.turn * Math.PI / 180), Math.Sin(input.turn * Math.PI / 180));
            Pt Map(Pt p)
            {
                var q = new Pt(input.mirrored ? -p.X : p.X, p.Y) * (input.size / 10.0);
                return new Pt((q.X * c) - (q.Y * s) + input.x, (q.X * s) + (q.Y * c) - 7);
            }

            var stroke = Stroke.Ring([new(0, 0), new(3, 1), new(4, 5), new(-1, 2)]);
            var found = DrawnDirections.Mapping(stroke, stroke.Map(Map))!;
            foreach (var p in new Pt[] { new(0, 0), new(2, -9), new(-30, 14) })
            {
                Assert.InRange(found(p).To(Map(p)), 0, 1e-6 * input.size);
            }
        });

    /// <summary>
    /// A line drawn on the item lies there in the next plan, in every copy as in the one it was drawn on, also when the motif is moved.
    /// </summary>
    [Theory]
    [InlineData("great-sunflower", "one", "petal", 0)]
    [InlineData("songbird", "one", "body", 25)]
    [InlineData("heart", "ring", "outline", 0)]
    public void A_drawn_line_goes_along_with_its_motif(string motif, string arrangement, string role, double turn)
    {
        var job = new Job("cushion-cover", [new MotifElement("m", motif, HeightMm: 120, Arrangement: arrangement,
            TurnDegrees: turn, CentreMm: new Pt(200, 200)) { ByPart = [new PartAsked(role, Stitch: "long-and-short")] }], Samples.Monday);
        var plan = Samples.Make(job, Workshop.Default);
        var first = plan.Elements[0].Design!.Shapes.First(s => s.Role == role && s.Area is not null);
        var (least, most) = first.Area!.Covers().Box;
        Pt[] drawn = [new(least.X, most.Y), Pt.Lerp(least, most, 0.5), new(most.X, (least.Y + most.Y) / 2)];
        var with = DrawnDirections.With(job, plan, "m", role, null, [drawn]);
        var planned = Samples.Make(with, Workshop.Default);
        var shown = Assert.Single(DrawnDirections.Shown(planned.Elements[0], role, null));
        Assert.Equal(drawn.Length, shown.Count);
        Assert.All(shown.Zip(drawn), p => Assert.InRange(p.First.To(p.Second), 0, 0.1));
        Assert.Contains(planned.Elements[0].Parts, p => p.Role == role && p.Filling?.Lies == DirectionKind.ByLines);
        var shapes = planned.Elements[0].Design!.Shapes.Where(s => s.Role == role && s.Area is not null).ToArray();
        Assert.All(shapes, s => Assert.Equal(DirectionKind.ByLines, s.Flow!.Kind));

        var moved = Samples.Make(with with { Elements = [with.Motifs[0] with { CentreMm = new Pt(207, 191) }] }, Workshop.Default);
        Assert.All(DrawnDirections.Shown(moved.Elements[0], role, null)[0].Zip(shown), p =>
            Assert.InRange((p.First - p.Second).To(new Pt(7, -9)), 0, 0.01));
        var without = Samples.Make(DrawnDirections.With(with, planned, "m", role, null, []), Workshop.Default).Elements[0];
        Assert.DoesNotContain(DrawnDirections.Shown(without, role, null), l => l.Count == drawn.Length);
    }

    /// <summary>A fill that lies one way says that a fan is not followed; one that can does so without a word.</summary>
    [Theory]
    [InlineData("lattice", 40, true)]
    [InlineData("bordered-satin", 6, true)]
    [InlineData("seed", 40, true)]
    [InlineData("backstitch", 40, true)]
    [InlineData("long-and-short", 40, false)]
    public void What_cannot_fan_says_so(string fill, double high, bool told)
    {
        var plan = Samples.Make(new Job("cushion-cover", [new MotifElement("m", "heart", HeightMm: high)
        {
            ByPart = [new PartAsked("outline", Stitch: fill) { Direction = "from-foot" }],
        }], Samples.Monday), Workshop.Default);
        Assert.Equal(told, plan.Decision("stitch.fill")!.NotFollowed?.Any(t =>
            t.ToString().Contains("fanning out from the foot", StringComparison.Ordinal)) == true);
    }

    /// <summary>Twice over, unknown, far off, or of a single place: each is told with its member.</summary>
    [Fact]
    public void Directions_that_make_no_sense_are_told()
    {
        IReadOnlyList<ValidationError> Faults(PartAsked part) => Samples.Faults(new Job("tote", [new MotifElement("m", "heart") { ByPart = [part] }], Samples.Monday), Workshop.Default);
        Assert.Contains(Faults(new PartAsked("outline", DirectionDegrees: 4) { Direction = "along" }), f => f.Pointer.EndsWith("/direction", StringComparison.Ordinal));
        Assert.Contains(Faults(new PartAsked("outline") { Direction = "sideways" }), f => f.Try.Contains("from-middle", StringComparison.Ordinal));
        Assert.Contains(Faults(new PartAsked("outline") { DirectionLines = [[new Pt(0, 0)]] }), f =>
            f.Pointer.EndsWith("/directionLines", StringComparison.Ordinal));
        Assert.Contains(Faults(new PartAsked("outline") { DirectionLines = [[new Pt(0, 0), new Pt(90, 0)]] }), f =>
            f.Detail.Contains("far outside", StringComparison.Ordinal));
        Assert.Empty(Faults(new PartAsked("outline") { DirectionLines = [[new Pt(0, 0), new Pt(0.4, 0)]] }));
    }
}
