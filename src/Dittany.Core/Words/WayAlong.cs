using Dittany.Core.Geometry;

namespace Dittany.Core.Words;

/// <summary>
/// A line that words follow, about their anchor: places on it by how far along they are. Before its beginning and after its end it goes
/// straight on.
/// </summary>
internal sealed class WayAlong
{
    private readonly IReadOnlyList<Pt> _path;
    private readonly double[] _along;

    /// <summary>The path has two points at the least.</summary>
    public WayAlong(IReadOnlyList<Pt> path)
    {
        _path = path;
        _along = new double[path.Count];
        for (var i = 1; i < path.Count; i++)
        {
            _along[i] = _along[i - 1] + path[i - 1].To(path[i]);
        }

        Middle = _along[Enumerable.Range(0, path.Count).MinBy(i => path[i].Length)];
    }

    /// <summary>How far along the place nearest the anchor is: there the middle of the words stands.</summary>
    public double Middle { get; }

    /// <summary>A place and the way the line goes there.</summary>
    public (Pt At, Pt Way) Follow(double s)
    {
        var i = Math.Clamp(Array.BinarySearch(_along, s) is var found && found < 0 ? ~found : found, 1, _path.Count - 1);
        var d = _path[i] - _path[i - 1];
        var way = d * (1 / d.Length);
        return (_path[i - 1] + (way * (s - _along[i - 1])), way);
    }
}
