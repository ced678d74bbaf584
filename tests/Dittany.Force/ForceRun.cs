using System.Globalization;
using Dittany.Force.Attacks;
using Dittany.Store;

namespace Dittany.Force;

/// <summary>What a round came to.</summary>
public sealed record Round(Tally Tally, long MostMb, int CameUp, int Killed, int Confirmed, IReadOnlyList<string> Told)
{
    public bool Held => Tally.Wrongs == 0 && CameUp == Killed;
}

/// <summary>
/// A round of force: every attack over and over for a time, several at once, with one program; then kills at start and while saving. Seeds
/// are told: with the same one the same is asked in the same order by each worker. Nothing leaves this machine, and it ends by itself.
/// </summary>
public static class ForceRun
{
    /// <summary>Who attacks at once.</summary>
    private const int Workers = 4;

    internal static readonly IReadOnlyList<IAttack> Attacks = [new JobsAttack(), new PagesAttack(), new PagesAttack(), new FilesAttack(),
        new TabsAttack(), new LeavingAttack(), new EqualAttack()];

    public static async Task<Round> Run(TimeSpan time, int kills, int seed, TimeSpan? hang = null)
    {
        var tally = new Tally { Hang = hang ?? Tally.UsualHang };
        var told = new List<string>();
        var (most, killed, came, confirmed) = (0L, 0, 0, 0);
        var folder = Directory.CreateTempSubdirectory("dittany-force-").FullName;
        using (var program = new Attacked(folder))
        {
            program.Begin();
            if (!await program.Up())
            {
                tally.Wrong("It did not start.");
                return new Round(tally, 0, 0, 1, 0, told);
            }

            if (time >= TimeSpan.FromMinutes(1))
            {
                await program.Warm();
            }

            using var ends = new CancellationTokenSource(time);
            await Task.WhenAll(Enumerable.Range(0, Workers).Select(worker =>
                Task.Run(() => Work(worker, program.Url, seed, tally, ends.Token))));
            most = program.MostMb;
            if (!program.Runs)
            {
                tally.Wrong("It ended.");
            }

            told.Add(string.Create(CultureInfo.InvariantCulture,
                $"{tally.Asked} asked; most memory {most} MB; {program.Exceptions} exceptions in its log"));
            await program.Kill();
        }

        told.AddRange(tally.Lines());
        foreach (var (what, prepare) in new (string, Action<string>)[] { ("first start", _ => { }),
            ("a store that stands", f => Copy(folder, f)), ("a store to be brought up to date", Older) })
        {
            var n = kills / 3;
            var up = await Kills.AtStart(n, seed, prepare, tally, what);
            (killed, came) = (killed + n, came + up);
            told.Add(string.Create(CultureInfo.InvariantCulture, $"killed at start, {what}: came up {up} of {n}"));
        }

        if (kills > 0)
        {
            confirmed = await Kills.WhileSaving(Math.Max(1, kills / 3), seed, tally);
            told.Add(string.Create(CultureInfo.InvariantCulture,
                $"killed while saving {Math.Max(1, kills / 3)} times: {confirmed} changes confirmed"));
        }

        Directory.Delete(folder, true);
        return new Round(tally, most, came, killed, confirmed, told);
    }

    private static async Task Work(int worker, Uri url, int seed, Tally tally, CancellationToken ends)
    {
        using var client = Sending.ClientOf(url);
        for (var n = 0; !ends.IsCancellationRequested; n++)
        {
            var own = unchecked((seed * 1_000_003) + (worker * 100_003) + n);
            var attack = Attacks[(worker + n) % Attacks.Count];
            try
            {
                await attack.Once(own, client, tally);
            }
            catch (Exception e) when (e is HttpRequestException or TaskCanceledException or InvalidOperationException)
            {
                // A page that an attack builds on was not to be had just then.
                tally.Count(attack.Name, -1, TimeSpan.Zero);
            }
        }
    }

    private static void Copy(string from, string to)
    {
        foreach (var file in Directory.EnumerateFiles(from, "dittany.db*"))
        {
            File.Copy(file, Path.Combine(to, Path.GetFileName(file)));
        }
    }

    /// <summary>A store as an older program left it: brought up to the migration before the last, with a piece in it.</summary>
    private static void Older(string folder)
    {
        using var held = DataFolder.Open(folder);
        OlderStore.Make(held);
    }
}
