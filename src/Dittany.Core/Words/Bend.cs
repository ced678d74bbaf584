using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Words;

/// <summary>
/// How a letter stands: the foot of its middle on the base line, and which way across and up lie. Capital heights, y down.
/// </summary>
internal readonly record struct Frame(Pt Foot, Pt Across, Pt Up)
{
    public Pt At(double aside, double up) => Foot + (Across * aside) + (Up * up);
}

/// <summary>
/// Where a place in a row stands in the arrangement. All in capital heights, y down, about the origin of the setting: along the row from
/// its middle, up from its base line.
/// </summary>
internal sealed class Bend
{
    private readonly Arrangement _arrangement;
    private readonly Func<int, double> _baseline;
    private readonly double _x;
    private readonly int _rows;

    /// <summary>Radius of the base line of the row that is nearest the centre, and how much its words are spread to close a ring.</summary>
    private readonly double _radius;

    private readonly double _spread = 1;

    /// <summary>The edge that is followed, in capital heights about the origin, and where on it the middle of the words is.</summary>
    private readonly WayAlong? _path;

    public Bend(Arrangement arrangement, double capMm, IReadOnlyList<double> widths, double x, int rows, Func<int, double> baseline)
    {
        (_arrangement, _x, _rows, _baseline) = (arrangement, x, rows, baseline);
        if (arrangement.Way is WordWay.Arc or WordWay.Ring)
        {
            var longest = widths.Max();
            var mid = arrangement.Inside ? -x / 2 : x / 2;
            LeastRadius = arrangement.Way == WordWay.Ring ? Math.Max(((longest + Setting.WordSpace) / (2 * Math.PI)) - mid,
                arrangement.Inside ? 1.6 + ((rows - 1) * Setting.RowPitch) : 0.5) : null;
            _radius = arrangement.RadiusMm is { } stated ? stated / capMm
                : arrangement.Way == WordWay.Arc ? Math.Max(Arrangement.UsualArc, longest / Arrangement.MostArcRadians)
                : Math.Max(Arrangement.LeastArc, LeastRadius.Sure());
            if (arrangement.Way == WordWay.Ring)
            {
                var round = 2 * Math.PI * (_radius + mid);
                var filled = (longest + Setting.WordSpace) / round;
                _spread = filled >= Arrangement.ClosesFrom ? 1 / filled : 1;
            }
        }
        else if (arrangement.PathMm is { Count: > 1 } path)
        {
            _path = new WayAlong(path.Select(p => p * (1 / capMm)).ToArray());
        }
    }

    /// <summary>Whether letters are turned against each other.</summary>
    public bool Bends => _arrangement.Way is WordWay.Arc or WordWay.Ring || _path is not null;

    /// <summary>
    /// Whether the line turns between two places of a row; on a straight stretch neighbours stand as they do on any straight line.
    /// </summary>
    public bool TurnsBetween(double along, double further) =>
        _path is null ? Bends : Pt.TurnRadians(_path.Follow(_path.Middle + along).Way,
            _path.Follow(_path.Middle + further).Way) > StraightBelow;

    /// <summary>A turn that moves no point of a letter by a thousandth of its height, radians.</summary>
    private const double StraightBelow = 5e-4;

    public double? LeastRadius { get; }

    /// <summary>
    /// The place of a point of something whose middle is so far along its row, <paramref name="aside"/> of that middle and
    /// <paramref name="up"/> from the base line.
    /// </summary>
    public Pt Stand(int row, double along, double aside, double up) => FrameAt(row, along).At(aside, up);

    /// <summary>How something stands whose middle is so far along its row.</summary>
    public Frame FrameAt(int row, double along)
    {
        var b = _baseline(row);
        switch (_arrangement.Way)
        {
            case WordWay.Slope or WordWay.Corner:
            case WordWay.Edge when _path is null:
                return new Frame(Turn(new Pt(along, b), _arrangement.TurnRadians), Turn(new Pt(1, 0), _arrangement.TurnRadians),
                    Turn(new Pt(0, -1), _arrangement.TurnRadians));
            case WordWay.Arc or WordWay.Ring when !_arrangement.Inside:
                {
                    // The centre is below; rows above the last have a larger radius.
                    var radius = _radius + (_baseline(_rows - 1) - b);
                    var (sin, cos) = Math.SinCos(along * _spread / (radius + (_x / 2)));
                    return new Frame(new Pt(sin * radius, _baseline(_rows - 1) + _radius - (cos * radius)), new Pt(cos, sin),
                        new Pt(sin, -cos));
                }

            case WordWay.Arc or WordWay.Ring:
                {
                    // The centre is above; rows under the first have a larger radius.
                    var radius = _radius + (b - _baseline(0));
                    var (sin, cos) = Math.SinCos(along * _spread / Math.Max(0.1, radius - (_x / 2)));
                    return new Frame(new Pt(sin * radius, _baseline(0) - _radius + (cos * radius)), new Pt(cos, -sin), new Pt(-sin, -cos));
                }

            case WordWay.Edge:
                {
                    var (at, way) = _path.Sure().Follow(_path.Middle + along);
                    var down = new Pt(-way.Y, way.X);
                    return new Frame(at + (down * b), way, down * -1);
                }

            default:
                return new Frame(new Pt(along, b), new Pt(1, 0), new Pt(0, -1));
        }
    }

    /// <summary>
    /// A ring's origin is its middle; an arc where the middle of the words stands on the anchor has its box's middle there.
    /// </summary>
    public Setting Settled(Setting setting, Stands stands)
    {
        if (_arrangement.Way == WordWay.Ring)
        {
            var centre = _arrangement.Inside ? new Pt(0, _baseline(0) - _radius) : new Pt(0, _baseline(_rows - 1) + _radius);
            return Moved(setting, centre * -1) with { MiddleFromOrigin = default };
        }

        if (_arrangement.Way != WordWay.Arc)
        {
            return setting;
        }

        // How far the middle of the box lies from where the middle of straight words would be.
        var ys = setting.Lines.SelectMany(l => l).Select(p => p.Y).ToArray();
        var off = new Pt(0, ((ys.Min() + ys.Max()) / 2) - setting.MiddleFromOrigin.Y);
        return stands == Stands.OnMiddle ? Moved(setting, off * -1) with { MiddleFromOrigin = default } : setting
            with
        { MiddleFromOrigin = setting.MiddleFromOrigin + off };
    }

    private static Setting Moved(Setting setting, Pt by) => setting with
    {
        Letters = setting.Letters.Select(l => l.Moved(by)).ToArray(),
        Ornaments = setting.Ornaments.Select(o => o.Map(p => p + by)).ToArray(),
        BaselineFromOrigin = setting.BaselineFromOrigin + by,
    };

    private static Pt Turn(Pt p, double radians)
    {
        var (c, s) = (Math.Cos(radians), Math.Sin(radians));
        return new Pt((p.X * c) - (p.Y * s), (p.X * s) + (p.Y * c));
    }
}
