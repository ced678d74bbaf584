namespace Dittany.Core.Time;

/// <summary>
/// The work one piece still asks of the calendar: minutes at the needle before a wait, the wait, minutes after it. <paramref name="DryOn"/> is set where the wait has already
/// begun; then nothing is left before it.
/// </summary>
public sealed record Demand(int Id, double BeforeMinutes, double WaitMinutes, double AfterMinutes, DateOnly? DueOn, DateOnly? DryOn = null, bool Begun = false)
{
    /// <summary>What a piece still asks for, from how far it is. A finished one asks for nothing and is wanted on no day.</summary>
    public static Demand Of(int id, Phases phases, Progress progress, DateOnly? dueOn)
    {
        var after = progress.Stage == Stage.Finished ? 0 : Math.Round(phases.Finish.Sum(s => Math.Round(s.Minutes, 1, MidpointRounding.AwayFromZero)), 1);
        return new Demand(id, Math.Max(0, Math.Round(progress.LeftMinutes - after, 1)), phases.WaitMinutes, after, progress.Stage == Stage.Finished ? null : dueOn, progress.DryOn, progress.Stage != Stage.Planned);
    }
}

/// <summary>Minutes of one evening given to one piece; <paramref name="AfterWait"/> says that it is the finishing.</summary>
public sealed record Stint(DateOnly Day, double Minutes, bool AfterWait);

/// <summary>One piece laid on the calendar. <paramref name="ReadyOn"/> is null where no evening is worked; the wait's days are null where there is none.</summary>
public sealed record Lain(int Id, IReadOnlyList<Stint> Stints, DateOnly? WaitFrom, DateOnly? DryOn, DateOnly? ReadyOn, DateOnly? DueOn)
{
    public bool Late => DueOn is { } due && (ReadyOn is null || ReadyOn > due);
}

/// <summary>
/// Lays pieces over the evenings there are. Each evening goes to what is wanted first and can be worked; what hangs to dry lets others in. What could not be in time
/// even if nothing else were there gives way to what can, but no further than that needs. Deterministic: ties go to what is begun, then to the lower number.
/// </summary>
public static class Diary
{
    /// <summary>Further than this no plan is laid; what is not done by then has no day (from memory: two years are further than any order).</summary>
    public const int MostDays = 730;

    /// <summary>What is hung up in the evening is dry the next day, or later for a long wait; 0 where nothing waits.</summary>
    public static int DryDays(double waitMinutes) => waitMinutes > 0 ? Math.Max(1, (int)Math.Ceiling(waitMinutes / (24 * 60))) : 0;

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
            var at = Enumerable.Range(0, order.Count).FirstOrDefault(n => InOrder([.. order.Take(n), late, .. order.Skip(n)], evenings, today).All(l => !inTime.Contains(l.Id) || !l.Late), order.Count);
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
        private double _before;
        private double _after;
        private DateOnly? _waitFrom;
        private DateOnly? _dry;

        public Laying(Demand demand, DateOnly today)
        {
            (Demand, _before, _after, _dry) = (demand, demand.DryOn is null ? demand.BeforeMinutes : 0, demand.AfterMinutes, demand.DryOn);
            if (_before <= Nothing && _after <= Nothing)
            {
                Ready = _dry is { } dry && dry > today ? dry : today;
            }
        }

        public Demand Demand { get; }

        public DateOnly? Ready { get; private set; }

        public double Work(DateOnly day, double left)
        {
            if (Ready is not null)
            {
                return 0;
            }

            var given = Take(ref _before, left, day, afterWait: false);
            if (_before > Nothing)
            {
                return given;
            }

            if (given > 0 && _dry is null && DryDays(Demand.WaitMinutes) is > 0 and var days)
            {
                (_waitFrom, _dry) = (day, day.AddDays(days));
            }

            if (_dry is { } dry && dry > day)
            {
                if (_after <= Nothing)
                {
                    Ready = dry;
                }

                return given;
            }

            given += Take(ref _after, left - given, day, afterWait: true);
            if (_after <= Nothing)
            {
                Ready = day;
            }

            return given;
        }

        public Lain Done() => new(Demand.Id, _stints, _waitFrom, _dry, Ready, Demand.DueOn);

        private double Take(ref double wanted, double left, DateOnly day, bool afterWait)
        {
            var given = Math.Min(wanted, left);
            if (given <= Nothing)
            {
                return 0;
            }

            wanted -= given;
            _stints.Add(new Stint(day, Math.Round(given, 1), afterWait));
            return given;
        }
    }
}
