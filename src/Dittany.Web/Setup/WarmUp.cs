using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Telling;
using Dittany.Core.Words;
using Dittany.Store;
using Dittany.Web.Drawings;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;

namespace Dittany.Web.Setup;

/// <summary>
/// Plans and draws one piece of every form a few times after the program has started and stores nothing, so that her first changes come as
/// quickly as the later ones: the code is compiled for speed only once it has run a while. Leaves room for requests between any two plans.
/// Switched off by DITTANY_WARM_UP=no.
/// </summary>
public sealed class WarmUp(Today today, IServer server, IServiceScopeFactory scopes, LetterShelf shelf, IHostApplicationLifetime lifetime)
    : BackgroundService
{
    /// <summary>After so many calls a method is compiled for speed; what is above is to spare.</summary>
    private const int Rounds = 40;

    /// <summary>So many plans are made: each form a few times.</summary>
    private const int PlansMade = 160;

    private static readonly TimeSpan Pause = TimeSpan.FromMilliseconds(5);

    public static bool Wanted => Environment.GetEnvironmentVariable("DITTANY_WARM_UP") != "no";

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // What is measured of the alphabets is measured once; the page of letters asks for all of it.
        foreach (var alphabet in shelf.Now.Alphabets)
        {
            await Task.Delay(Pause, stoppingToken);
            _ = alphabet.Facts;
        }

        for (var round = 0; round * Catalogue.Forms.Count < PlansMade; round++)
        {
            foreach (var form in Catalogue.Forms)
            {
                await Task.Delay(Pause, stoppingToken);
                var job = new Job(form.Id, [new TextElement("name", "Little Pebble")], today.Date);
                var plan = UnitConversion.In(Planner.Make(job, Workshop.Default, shelf.Now, stoppingToken), Units.Centimetres);
                _ = BenchDrawing.Draw(plan, new BenchDrawing.Look(BenchDrawing.Views(plan)[0], Units.Centimetres, 0, 0));
                _ = StitchTelling.All(plan);
            }
        }

        await LookAtTheBench(stoppingToken);
        Serilog.Log.Information("Warmed up");
    }

    /// <summary>
    /// Asks the program itself for the newest piece, so that pages and store are warm too. Only looks; where nothing is stored, or the
    /// program does not answer itself, nothing is lost.
    /// </summary>
    private async Task LookAtTheBench(CancellationToken stop)
    {
        using var scope = scopes.CreateScope();
        var newest = (await scope.ServiceProvider.GetRequiredService<PieceStore>().All(stop)).Pieces.Select(p =>
            (int?)p.Id).FirstOrDefault();
        var address = server.Features.Get<IServerAddressesFeature>()?.Addresses.FirstOrDefault();
        if (newest is null || address is null || !lifetime.ApplicationStarted.IsCancellationRequested)
        {
            return;
        }

        using var client = new HttpClient();
        client.DefaultRequestHeaders.AcceptEncoding.ParseAdd("gzip");
        for (var round = 0; round < Rounds; round++)
        {
            try
            {
                using var answer = await client.GetAsync(new Uri($"{address}/bench/{newest}?station=words"), stop);
                await answer.Content.CopyToAsync(Stream.Null, stop);
            }
            catch (HttpRequestException)
            {
                return;
            }

            await Task.Delay(Pause, stop);
        }
    }
}
