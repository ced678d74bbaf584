using Dittany.Core.Operations;

namespace Dittany.Core.Time;

/// <summary>
/// Work that is done on one evening after another without a night's wait between: its minutes, how many days it then hangs to dry, and
/// whether it washes, makes or finishes the piece.
/// </summary>
public sealed record Leg(double Minutes, int DryDays, LegOf Of = LegOf.Making);

/// <summary>What a leg does for the piece.</summary>
public enum LegOf
{
    Washing,
    Making,
    Finishing,
}

/// <summary>
/// The work one piece still asks of the calendar, in legs. <paramref name="DryOn"/> is set where it hangs already, and before it nothing
/// goes on.
/// </summary>
public sealed record Demand(int Id, IReadOnlyList<Leg> Legs, DateOnly? DueOn, DateOnly? DryOn = null, bool Begun = false)
{
    /// <summary>Minutes up to the finishing.</summary>
    public double MakingMinutes => Legs.Where(l => l.Of != LegOf.Finishing).Sum(l => l.Minutes);

    /// <summary>
    /// What a piece still asks for, from its operations and how far it is. A finished one asks for nothing and is wanted on no day.
    /// </summary>
    public static Demand Of(int id, IReadOnlyList<Operation> work, Progress progress, DateOnly? dueOn)
    {
        var (legs, minutes, of) = (new List<Leg>(), 0.0, (LegOf?)null);
        var hangs = progress.DryOn is not null;
        foreach (var (operation, phase, left) in Left.Of(work, progress.Stage, progress.StitchedShare))
        {
            var here = phase switch { Phase.Washing => LegOf.Washing, Phase.Finishing => LegOf.Finishing, _ => LegOf.Making };
            if (of is { } before && before != here)
            {
                Close(before, 0);
            }

            (of, minutes) = (here, minutes + left);
            if (operation.Wait is { Days: > 0 and var days } && minutes > 0)
            {
                Close(here, days);
            }
        }

        if (of is { } last)
        {
            Close(last, 0);
        }

        var finished = progress.Stage == Stage.Finished;
        return new Demand(id, legs, finished ? null : dueOn, hangs ? progress.DryOn : null, progress.Stage != Stage.Planned);

        void Close(LegOf what, int days)
        {
            if (minutes > 0)
            {
                legs.Add(new Leg(Minutes.Rounded(minutes), days, what));
            }

            (of, minutes) = (null, 0);
        }
    }
}

/// <summary>Minutes of one evening given to one piece, and what they do for it.</summary>
public sealed record Stint(DateOnly Day, double Minutes, LegOf Of = LegOf.Making);

/// <summary>Days a piece hangs to dry: from the evening it is hung up, null where it hangs already, to the day it is dry.</summary>
public sealed record Hanging(DateOnly? From, DateOnly DryOn);

/// <summary>One piece laid on the calendar. <paramref name="ReadyOn"/> is null where no evening is worked.</summary>
public sealed record Lain(int Id, IReadOnlyList<Stint> Stints, IReadOnlyList<Hanging> Hangs, DateOnly? ReadyOn, DateOnly? DueOn)
{
    public bool Late => DueOn is { } due && (ReadyOn is null || ReadyOn > due);
}

/// <summary>
/// Lays pieces over the evenings there are. Each evening goes to what is wanted first and can be worked; what hangs to dry lets others in.
/// What could not be in time even if nothing else were there gives way to what can, but no further than that needs. Deterministic: ties go
/// to what is begun, then to the lower number.
/// </summary>
public static class Diary
{
    /// <summary>
    /// Further than this no plan is laid; what is not done by then has no day (from memory: two years are further than any order).
    /// </summary>
    public const int MostDays = 730;

    /// <summary>All pieces laid, in the order they were given.</summary>
    public static IReadOnlyList<Lain> Lay(IReadOnlyList<Demand> demands, Evenings evenings, DateOnly today)
    {
        var wanted = demands.OrderBy(d => d.DueOn ?? DateOnly.MaxValue).ThenByDescending(d => d.Begun).ThenBy(d => d.Id).ToArray();
        var hopeless = demands.Count < 2 ? [] : wanted.Where(d => InOrder([d], evenings, today)[0].Late).ToArray();
        var order = wanted.Except(hopeless).ToList();
        foreach (var late in hopeless)
        {
            // As early as it can be without making any other late that is in time.
            var inTime = InOrder(order, evenings, today).Where(l => !l.Late).Select(l => l.Id).ToHashSet();
            var at = Enumerable.Range(0, order.Count).FirstOrDefault(n =>
                InOrder([.. order.Take(n), late, .. order.Skip(n)], evenings, today).All(l => !inTime.Contains(l.Id) || !l.Late),
                order.Count);
            order.Insert(at, late);
        }

        var byId = InOrder(order, evenings, today).ToDictionary(l => l.Id);
        return demands.Select(d => byId[d.Id]).ToArray();
    }

    private static Lain[] InOrder(IReadOnlyList<Demand> order, Evenings evenings, DateOnly today)
    {
        var laying = order.Select(d => new Laying(d, today)).ToArray();
        for (var n = 0; n < MostDays && laying.Any(l => l.Ready is null); n++)
        {
            var day = today.AddDays(n);
            var left = Timing.Worked(day, evenings) ? evenings.Minutes : 0;
            foreach (var piece in laying)
            {
                left -= piece.Work(day, left);
            }
        }

        return laying.Select(l => l.Done()).ToArray();
    }

    /// <summary>One piece with every evening to itself.</summary>
    public static Lain Alone(Demand demand, Evenings evenings, DateOnly today) => Lay([demand], evenings, today)[0];

    private sealed class Laying
    {
        private const double Nothing = 1e-9;
        private readonly List<Stint> _stints = [];
        private readonly List<Hanging> _hangs = [];
        private readonly Leg[] _legs;
        private int _leg;
        private double _left;
        private DateOnly? _dry;

        public Laying(Demand demand, DateOnly today)
        {
            (Demand, _dry, _legs) = (demand, demand.DryOn, demand.Legs.Where(l => l.Minutes > Nothing).ToArray());
            _left = _legs.Length > 0 ? _legs[0].Minutes : 0;
            if (_dry is { } dry && dry > today)
            {
                _hangs.Add(new Hanging(null, dry));
            }

            if (_legs.Length == 0)
            {
                Ready = _dry is { } hung && hung > today ? hung : today;
            }
        }

        public Demand Demand { get; }

        public DateOnly? Ready { get; private set; }

        /// <summary>Works on a day with what is left of its evening, leg after leg; the minutes taken.</summary>
        public double Work(DateOnly day, double left)
        {
            var given = 0.0;
            while (Ready is null && !(_dry is { } dry && dry > day))
            {
                var leg = _legs[_leg];
                given += Take(left - given, day, leg.Of);
                if (_left > Nothing)
                {
                    return given;
                }

                _leg++;
                _left = _leg < _legs.Length ? _legs[_leg].Minutes : 0;
                if (leg.DryDays > 0)
                {
                    _dry = day.AddDays(leg.DryDays);
                    _hangs.Add(new Hanging(day, _dry.Value));
                }

                if (_leg == _legs.Length)
                {
                    Ready = leg.DryDays > 0 ? _dry : day;
                }
            }

            return given;
        }

        public Lain Done() => new(Demand.Id, _stints, _hangs, Ready, Demand.DueOn);

        private double Take(double minutes, DateOnly day, LegOf of)
        {
            var given = Math.Min(_left, Math.Max(0, minutes));
            if (given > Nothing)
            {
                _stints.Add(new Stint(day, Math.Round(given, 1), of));
                _left -= given;
            }

            return given;
        }
    }
}
