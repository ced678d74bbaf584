using System.Globalization;
using System.IO.Compression;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Api;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.EntityFrameworkCore;
using Serilog;

NativeMemory.Bound();
var (start, refusal) = Start.Read(Environment.GetEnvironmentVariable, args);
Start.PinCulture();
if (start is null)
{
    await Console.Error.WriteLineAsync(refusal);
    return 1;
}

var demo = start.Demo;
DataFolder folder;
try
{
    folder = DataFolder.Open(start.Folder, demo);
}
catch (DataFolderException e)
{
    await Console.Error.WriteLineAsync(e.Message);
    return 1;
}

// Plans keep the pool's threads busy for as long as they take: answers must not wait until it thinks of making more.
ThreadPool.SetMinThreads(Start.Threads, Start.Threads);

using (folder)
{
    var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
    // Published, the files lie beside the program; from a build, a list beside it tells where they do.
    builder.WebHost.UseStaticWebAssets();
    // They are as they were built, from a build too: nothing looks whether they changed, and what names them may keep them.
    builder.Configuration["ReloadStaticAssetsAtRuntime"] = "false";
    builder.Environment.WebRootFileProvider = new StillFiles(builder.Environment.WebRootFileProvider);
    builder.WebHost.ConfigureKestrel(kestrel =>
    {
        kestrel.ListenLocalhost(start.Port);
        kestrel.Limits.MaxRequestBodySize = Safety.MostBody;
        kestrel.AddServerHeader = false;
    });
    builder.Host.UseSerilog((_, log) => log
        .MinimumLevel.Information()
        .MinimumLevel.Override("Microsoft", Serilog.Events.LogEventLevel.Warning)
        .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", Serilog.Events.LogEventLevel.Error)
        .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", Serilog.Events.LogEventLevel.Fatal)
        .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture));

    var services = builder.Services;
    services.AddSingleton(folder);
    services.AddSingleton(TimeProvider.System);
    services.AddSingleton<Today>();
    services.AddSingleton<LetterShelf>();
    services.AddDbContext<DittanyDb>((_, options) => options.UseSqlite(folder.ConnectionString).AddInterceptors(new DurablePragmas()));
    services.AddScoped<PieceStore>();
    services.AddScoped<WorkshopStore>();
    services.AddScoped<SheetStore>();
    services.AddScoped<LogStore>();
    services.AddScoped<CupboardStore>();
    services.AddScoped<LetterStore>();
    services.AddScoped<TracingStore>();
    services.AddSingleton<Dittany.Formats.Pictures.IPhoneCamera, Dittany.Formats.Pictures.MadeUpCamera>();
    services.AddSingleton<PictureDesk>();
    services.AddSingleton<Straightening>();
    services.AddSingleton<Plans>();
    services.AddScoped<PieceStore.Planning>(provider =>
    {
        // As the page will ask for it that shows what came of a change: made once for both.
        var (plans, today) = (provider.GetRequiredService<Plans>(), provider.GetRequiredService<Today>());
        return (job, workshop, stop) => plans.Make(job with { Today = today.Date }, workshop, stop);
    });
    services.AddScoped<PlanService>();
    if (WarmUp.Wanted)
    {
        services.AddHostedService<WarmUp>();
    }

    services.AddSingleton(new FolderPrinter(Path.Combine(folder.Path, "printed")));
    services.AddSingleton<IPrinter>(provider => provider.GetRequiredService<FolderPrinter>());
    services.AddHealthChecks().AddCheck<StoreHealth>("store");
    services.AddRazorPages().AddMvcOptions(options => options.Filters.Add<TroubledPieces>());
    services.AddAntiforgery(options => options.Cookie.SameSite = SameSiteMode.Strict);
    services.AddDataProtection().SetApplicationName("Dittany").PersistKeysToFileSystem(new DirectoryInfo(folder.KeysPath));
    services.Configure<HostFilteringOptions>(options => options.AllowedHosts = Safety.Hosts.ToArray());
    services.AddResponseCompression();
    services.Configure<BrotliCompressionProviderOptions>(options => options.Level = CompressionLevel.Optimal);
    services.Configure<GzipCompressionProviderOptions>(options => options.Level = CompressionLevel.Optimal);

    await using var app = builder.Build();
    try
    {
        using var scope = app.Services.CreateScope();
        folder.Migrate(scope.ServiceProvider.GetRequiredService<DittanyDb>());
        foreach (var shut in await scope.ServiceProvider.GetRequiredService<LetterStore>().Shelve())
        {
            await Console.Error.WriteLineAsync($"The font '{shut}' ended the program once while it was opened, and stays shut.");
        }

        if (demo)
        {
            await Demo.Fill(scope.ServiceProvider.GetRequiredService<PieceStore>(), scope.ServiceProvider.GetRequiredService<SheetStore>(),
                scope.ServiceProvider.GetRequiredService<CupboardStore>(), scope.ServiceProvider.GetRequiredService<TracingStore>(),
                scope.ServiceProvider.GetRequiredService<LogStore>(), app.Services.GetRequiredService<Today>().Date);
        }
    }
    catch (DataFolderException e)
    {
        await Console.Error.WriteLineAsync(e.Message);
        return 1;
    }

    app.UseSafeHeaders();
    app.UseHostFiltering();
    app.UseWhen(context => !context.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase), pages =>
        pages.UseExceptionHandler(new ExceptionHandlerOptions
        {
            ExceptionHandlingPath = "/Error",
            SuppressDiagnosticsCallback = Problems.Foreseen
        }).UseStatusCodePagesWithReExecute("/Error", "?code={0}"));
    app.UseWhen(context => context.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase), door =>
        door.UseExceptionHandler(new ExceptionHandlerOptions
        {
            ExceptionHandler = Problems.OnException,
            SuppressDiagnosticsCallback = Problems.Foreseen
        }).UseStatusCodePages(Problems.OnStatus));
    app.UseUsualMethods();
    app.UseResponseCompression();
    app.UseRouting();
    app.MapStaticAssets();
    app.MapRazorPages().WithStaticAssets();
    app.MapApi();
    app.MapHealthChecks("/health");
    app.MapPictures();
    app.MapDrawings();
    app.MapStitches();
    app.Lifetime.ApplicationStarted.Register(() => Log.Information("Dittany is served at {Addresses}", string.Join(", ", app.Urls)));
    try
    {
        await app.RunAsync();
    }
    catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
    {
        await Console.Error.WriteLineAsync(
            $"Port {start.Port} is in use by another program. Stop that one, or name another port in DITTANY_PORT.");
        return 1;
    }
    catch (Exception e) when (e is System.Net.Sockets.SocketException || e.InnerException is System.Net.Sockets.SocketException)
    {
        await Console.Error.WriteLineAsync(
            $"Port {start.Port} cannot be used ({(e.InnerException ?? e).Message}). Name another port in DITTANY_PORT.");
        return 1;
    }

    return 0;
}

/// <summary>Named so that tests can start the application.</summary>
public partial class Program;
