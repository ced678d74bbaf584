using System.Globalization;

namespace Dittany.Force;

/// <summary>
/// <c>force [minutes] [--seed N] [--kills N] [--load] [--only attack]</c>: a round of force, or a measure of load; ends with 1 where
/// something did not hold.
/// </summary>
public static class ForceProgram
{
    public static async Task<int> Main(string[] args)
    {
        var seed = (int)Argument(args, "--seed", Environment.TickCount & 0xFFFFF);
        Console.WriteLine($"seed {seed.ToString(CultureInfo.InvariantCulture)}");
        return args.Contains("--load", StringComparer.Ordinal) ? await LoadOnce(seed) : args.Contains("--only", StringComparer.Ordinal)
            ? await Only(args, seed) : await Round(args, seed);
    }

    /// <summary>One attack once more, with a program of its own: what a wrong's seed is for.</summary>
    private static async Task<int> Only(string[] args, int seed)
    {
        var (tally, folder) = (new Tally { Dump = Environment.GetEnvironmentVariable("DITTANY_FORCE_DUMP") },
            Directory.CreateTempSubdirectory("dittany-force-only-").FullName);
        using var program = new Attacked(folder);
        program.Begin();
        await program.Up();
        using var client = Sending.ClientOf(program.Url);
        var name = args[Array.IndexOf(args, "--only") + 1];
        await ForceRun.Attacks.First(a => a.Name == name).Once(seed, client, tally);
        foreach (var line in tally.Lines())
        {
            Console.WriteLine(line);
        }

        Console.WriteLine(tally.Last[..Math.Min(tally.Last.Length, 1500)]);
        Console.WriteLine($"most memory {program.MostMb.ToString(CultureInfo.InvariantCulture)} MB");
        await program.Kill();
        Directory.Delete(folder, true);
        return tally.Wrongs == 0 ? 0 : 1;
    }

    private static async Task<int> Round(string[] args, int seed)
    {
        var minutes = args.Length > 0 && double.TryParse(args[0], CultureInfo.InvariantCulture, out var asked) ? asked : 1;
        var round = await ForceRun.Run(TimeSpan.FromMinutes(minutes), (int)Argument(args, "--kills", Math.Ceiling(minutes) * 6), seed);
        foreach (var line in round.Told)
        {
            Console.WriteLine(line);
        }

        Console.WriteLine(round.Held ? "held" : $"{round.Tally.Wrongs.ToString(CultureInfo.InvariantCulture)} wrongs");
        return round.Held ? 0 : 1;
    }

    /// <summary>Once through to warm up, then one person alone, then fifty.</summary>
    private static async Task<int> LoadOnce(int seed)
    {
        var tally = new Tally();
        var folder = Directory.CreateTempSubdirectory("dittany-force-load-").FullName;
        using var program = new Attacked(folder);
        program.Begin();
        await program.Up();
        await program.Warm();
        await Load.Run(program.Url, 10, TimeSpan.FromSeconds(20), seed, new Tally());
        Console.WriteLine(await Load.Run(program.Url, 1, TimeSpan.FromSeconds(30), seed, tally));
        Console.WriteLine(await Load.Run(program.Url, 50, TimeSpan.FromSeconds(60), seed, tally));
        Console.WriteLine($"most memory {program.MostMb.ToString(CultureInfo.InvariantCulture)} MB");
        await program.Kill();
        Directory.Delete(folder, true);
        return tally.Wrongs == 0 ? 0 : 1;
    }

    private static double Argument(string[] args, string name, double usual) =>
        Array.IndexOf(args, name) is >= 0 and var at && at + 1 < args.Length ? double.Parse(args[at + 1], CultureInfo.InvariantCulture)
            : usual;
}
