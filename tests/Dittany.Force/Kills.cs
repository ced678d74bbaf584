using System.Globalization;
using System.Net;
using AngleSharp.Html.Parser;

namespace Dittany.Force;

/// <summary>
/// The program killed at moments that hurt: while it starts (on nothing, on a store, on one to be brought up to date), and while it saves.
/// It comes up every time with all that was confirmed.
/// </summary>
public static class Kills
{
    /// <summary>
    /// Kills it so often while it starts, each time at another moment, and starts it again. <paramref name="prepare"/> makes the folder as
    /// it stands before each first start. How often it came up.
    /// </summary>
    public static async Task<int> AtStart(int kills, int seed, Action<string> prepare, Tally tally, string what)
    {
        var (random, came) = (new Random(seed), 0);
        for (var i = 0; i < kills; i++)
        {
            var folder = Directory.CreateTempSubdirectory("dittany-force-start-").FullName;
            prepare(folder);
            using var program = new Attacked(folder);
            for (var n = random.Next(1, 4); n > 0; n--)
            {
                program.Begin(("DITTANY_WARM_UP", "no"));

                // Aimed at the moments in which the store is made or brought up to date: from its first file on.
                await Until(() => !program.Runs || File.Exists(Path.Combine(folder, "dittany.db")));
                await Task.Delay(random.Next(0, 350));
                await program.Kill();
            }

            program.Begin(("DITTANY_WARM_UP", "no"));
            if (await program.Up())
            {
                came++;
            }
            else
            {
                tally.Wrong(string.Create(CultureInfo.InvariantCulture,
                    $"kills at start ({what}), seed {seed}, the {i + 1}th: it did not come up again"));
            }

            await program.Kill();
            Directory.Delete(folder, true);
        }

        return came;
    }

    /// <summary>
    /// Kills it in the middle of changes; after each the piece must stand at the last one that was confirmed, or one further. How many
    /// changes were confirmed.
    /// </summary>
    public static async Task<int> WhileSaving(int kills, int seed, Tally tally)
    {
        var folder = Directory.CreateTempSubdirectory("dittany-force-save-").FullName;
        using var program = new Attacked(folder);
        program.Begin(("DITTANY_WARM_UP", "no"));
        if (!await program.Up())
        {
            tally.Wrong("kills while saving: it did not start");
            return 0;
        }

        var random = new Random(seed);
        string bench;
        using (var client = Sending.ClientOf(program.Url))
        {
            var made = await tally.Send(client, Sending.Post("/new",
                [("__RequestVerificationToken", await Sending.Token(client, "/new")), ("Words", "Mimi"), ("Form", "t-shirt-child")]), "saving",
                seed);
            bench = made!.Value.Location!.ToString();

            // With a second place, so that what is saved is planned in both.
            await tally.Send(client, Sending.Post($"{bench}?handler=Add",
                [("__RequestVerificationToken", await Sending.Token(client, bench)), ("from", "1"), ("zone", "sleeve"), ("words", "Bo")]), "saving", seed);
        }

        var (head, all) = (2, 0);
        for (var i = 0; i < kills; i++)
        {
            using var client = Sending.ClientOf(program.Url);
            var (confirmed, until) = (0, random.Next(3, 12));
            var token = await Sending.Token(client, bench);
            var saving = Task.Run(async () =>
            {
                for (var n = 0; n < 5000; n++)
                {
                    var answer = await tally.Send(client, Sending.Post($"{bench}?handler=Grow",
                        [("__RequestVerificationToken", token), ("by", n % 2 == 0 ? "1" : "-1")]), "saving", seed);
                    if (answer is null)
                    {
                        return;
                    }

                    if (answer.Value.Status == HttpStatusCode.Redirect)
                    {
                        Interlocked.Increment(ref confirmed);
                    }
                }
            });
            await Until(() => Volatile.Read(ref confirmed) >= until || saving.IsCompleted);
            await program.Kill();
            await saving;
            all += confirmed;
            program.Begin(("DITTANY_WARM_UP", "no"));
            if (!await program.Up())
            {
                tally.Wrong(string.Create(CultureInfo.InvariantCulture,
                    $"kills while saving, seed {seed}, the {i + 1}th: it did not come up again"));
                return all;
            }

            using var again = Sending.ClientOf(program.Url);
            var now = int.Parse(new HtmlParser().ParseDocument(await again.GetStringAsync(new Uri(bench, UriKind.Relative))).QuerySelector(
                "#bench")!.GetAttribute("data-from")!, CultureInfo.InvariantCulture);
            if (now < head + confirmed || now > head + confirmed + 1)
            {
                tally.Wrong(string.Create(CultureInfo.InvariantCulture,
                    $"kills while saving, seed {seed}, the {i + 1}th: {confirmed} changes were confirmed after revision {head}, and it "
                        + $"stands at {now}"));
            }

            head = now;
        }

        await program.Kill();
        Directory.Delete(folder, true);
        return all;
    }

    private static async Task Until(Func<bool> condition)
    {
        using var limit = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var beat = new PeriodicTimer(TimeSpan.FromMilliseconds(2));
        while (!condition())
        {
            await beat.WaitForNextTickAsync(limit.Token);
        }
    }
}
