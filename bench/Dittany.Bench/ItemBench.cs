using BenchmarkDotNet.Attributes;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Space;
using Dittany.Formats.Pictures;

namespace Dittany.Bench;

/// <summary>
/// Items and space: the field of the form with the most edges in it (reach 5 ms, baseline the same offsets through the geometry library
/// with nothing around them), the steps that find a place, and a photograph of 12 million px straightened (reach 2 s, baseline reading the
/// picture alone).
/// </summary>
[MemoryDiagnoser]
public class ItemBench
{
    private Drawn _drawn = null!;
    private Zone _zone = null!;
    private byte[] _photo = null!;
    private IReadOnlyList<Pt> _corners = null!;
    private Straightened _view = null!;

    [GlobalSetup]
    public void Setup()
    {
        (_drawn, _zone) = Catalogue.Forms
            .SelectMany(f => f.Build(f.Sizes.First(s => s.Id == f.UsualSize)))
            .SelectMany(d => d.Zones.Select(z => (Drawn: d, Zone: z)))
            .MaxBy(p => p.Drawn.Obstacles.Count == 0 ? 0 : Field.Of(p.Drawn, p.Zone).Rings.Sum(r => r.Count)
                + p.Drawn.Obstacles.Sum(o => o.Ring.Count));
        var scene = MadeUpCamera.All[0];
        _photo = MadeUpCamera.Render(scene);
        _corners = MadeUpCamera.CornersOf(scene);
        _view = Photographed.Straighten(scene.Reference, _corners, scene.Pose.WidthPx, scene.Pose.HeightPx, 0.2).View!;
    }

    [Benchmark]
    public Region FieldOfTheMostComplexForm() => Field.Of(_drawn, _zone);

    [Benchmark]
    public double OffsetsAlone() => _drawn.Obstacles.Sum(o => Region.Of(o.Ring).Offset(Clearances.For(o.Kind)).AreaMm2);

    [Benchmark]
    public FoundFrom FindIt() => Core.Space.FindIt.Choose(_drawn, _zone, _zone.Usual.AnchorMm);

    [Benchmark]
    public int AllForms() => Catalogue.Forms.Sum(f => f.Build(f.Sizes[0]).Count);

    [Benchmark]
    public TakenPicture Straighten() => Rectifier.Draw(_photo, _view);

    [Benchmark]
    public FoundCorners FindCorners() => CornerFinder.Find(_photo, _corners, 4);

    [Benchmark]
    public TakenPicture? TakeIn() => PictureFile.Take(_photo).Picture;

    [Benchmark]
    public int ReadAlone()
    {
        using var bitmap = SkiaSharp.SKBitmap.Decode(_photo);
        return bitmap.Width;
    }
}
