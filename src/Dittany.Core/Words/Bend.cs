using Dittany.Core.Geometry;
using Dittany.Core.Items;

namespace Dittany.Core.Words;

/// <summary>
/// Where a place in a row stands in the arrangement. All in capital heights, y down, about the origin of the setting: along the row from its middle, up from its base line.
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
    private readonly IReadOnlyList<Pt> _path = [];

    private readonly double[] _along = [];
    private readonly double _middle;

    public Bend(Arrangement arrangement, double capMm, IReadOnlyList<double> widths, double x, int rows, Func<int, double> baseline)
    {
        (_arrangement, _x, _rows, _baseline) = (arrangement, x, rows, baseline);
        if (arrangement.Way is WordWay.Arc or WordWay.Ring)
        {
            var longest = widths.Max();
            var mid = arrangement.Inside ? -x / 2 : x / 2;
            LeastRadius = arrangement.Way == WordWay.Ring ? Math.Max(((longest + Setting.WordSpace) / (2 * Math.PI)) - mid, arrangement.Inside ? 1.6 + ((rows - 1) * Setting.RowPitch) : 0.5) : null;
            _radius = arrangement.RadiusMm is { } stated ? stated / capMm
                : arrangement.Way == WordWay.Arc ? Math.Max(Arrangement.UsualArc, longest / Arrangement.MostArcRadians)
                : Math.Max(Arrangement.LeastArc, LeastRadius!.Value);
            if (arrangement.Way == WordWay.Ring)
            {
                var round = 2 * Math.PI * (_radius + mid);
                var filled = (longest + Setting.WordSpace) / round;
                _spread = filled >= Arrangement.ClosesFrom ? 1 / filled : 1;
            }
        }
        else if (arrangement.PathMm is { Count: > 1 } path)
        {
            _path = path.Select(p => p * (1 / capMm)).ToArray();
            _along = new double[_path.Count];
            for (var i = 1; i < _path.Count; i++)
            {
                _along[i] = _along[i - 1] + _path[i - 1].To(_path[i]);
            }

            _middle = Enumerable.Range(0, _path.Count).MinBy(i => _path[i].Length) is var near ? _along[near] : 0;
        }
    }

    /// <summary>Whether letters are turned against each other.</summary>
    public bool Bends => _arrangement.Way is WordWay.Arc or WordWay.Ring || _path.Count > 0;

    public double? LeastRadius { get; }

    /// <summary>The place of a point of something whose middle is so far along its row, <paramref name="aside"/> of that middle and <paramref name="up"/> from the base line.</summary>
    public Pt Stand(int row, double along, double aside, double up)
    {
        var b = _baseline(row);
        switch (_arrangement.Way)
        {
            case WordWay.Slope or WordWay.Corner:
                return Turn(new Pt(along + aside, b - up), _arrangement.TurnRadians);
            case WordWay.Arc or WordWay.Ring when !_arrangement.Inside:
                {
                    // The centre is below; rows above the last have a larger radius.
                    var radius = _radius + (_baseline(_rows - 1) - b);
                    var angle = along * _spread / (radius + (_x / 2));
                    var (sin, cos) = (Math.Sin(angle), Math.Cos(angle));
                    return new Pt((sin * (radius + up)) + (cos * aside), _baseline(_rows - 1) + _radius - (cos * (radius + up)) + (sin * aside));
                }

            case WordWay.Arc or WordWay.Ring:
                {
                    // The centre is above; rows under the first have a larger radius.
                    var radius = _radius + (b - _baseline(0));
                    var angle = along * _spread / Math.Max(0.1, radius - (_x / 2));
                    var (sin, cos) = (Math.Sin(angle), Math.Cos(angle));
                    return new Pt((sin * (radius - up)) + (cos * aside), _baseline(0) - _radius + (cos * (radius - up)) - (sin * aside));
                }

            case WordWay.Edge when _path.Count > 0:
                {
                    var (at, way) = Follow(_middle + along);
                    return at + (way * aside) + (new Pt(-way.Y, way.X) * (b - up));
                }

            default:
                return new Pt(along + aside, b - up);
        }
    }

    /// <summary>A ring's origin is its middle; an arc where the middle of the words stands on the anchor has its box's middle there.</summary>
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
        return stands == Stands.OnMiddle ? Moved(setting, off * -1) with { MiddleFromOrigin = default } : setting with { MiddleFromOrigin = setting.MiddleFromOrigin + off };
    }

    private static Setting Moved(Setting setting, Pt by) => setting with
    {
        Letters = setting.Letters.Select(l => l with { Strokes = l.Strokes.Select(s => s.Map(p => p + by)).ToArray(), Lines = l.Lines.Select(line => (IReadOnlyList<Pt>)line.Select(p => p + by).ToArray()).ToArray() }).ToArray(),
        Ornaments = setting.Ornaments.Select(o => o.Map(p => p + by)).ToArray(),
        BaselineFromOrigin = setting.BaselineFromOrigin + by,
    };

    /// <summary>A place on the edge and the way it goes; before its beginning and after its end it goes straight on.</summary>
    private (Pt At, Pt Way) Follow(double s)
    {
        var i = Math.Clamp(Array.BinarySearch(_along, s) is var found && found < 0 ? ~found : found, 1, _path.Count - 1);
        var d = _path[i] - _path[i - 1];
        var way = d * (1 / d.Length);
        return (_path[i - 1] + (way * (s - _along[i - 1])), way);
    }

    private static Pt Turn(Pt p, double radians)
    {
        var (c, s) = (Math.Cos(radians), Math.Sin(radians));
        return new Pt((p.X * c) - (p.Y * s), (p.X * s) + (p.Y * c));
    }
}
