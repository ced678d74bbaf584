using System.Globalization;
using System.Threading.RateLimiting;
using Dittany.Formats.Sheets;
using Dittany.Store;
using Dittany.Web.Api;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.EntityFrameworkCore;
using Serilog;

if (Safety.Refusal(Environment.GetEnvironmentVariable("DITTANY_BIND")) is { } refusal)
{
    await Console.Error.WriteLineAsync(refusal);
    return 1;
}

var demo = args.Contains("--demo", StringComparer.Ordinal);
DataFolder folder;
try
{
    var named = Environment.GetEnvironmentVariable("DITTANY_DATA");
    folder = DataFolder.Open(string.IsNullOrWhiteSpace(named) ? Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.UserProfile), demo ? ".dittany-demo" : ".dittany") : named, demo);
}
catch (DataFolderException e)
{
    await Console.Error.WriteLineAsync(e.Message);
    return 1;
}

using (folder)
{
    var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = ContentRoot() });
    var port = int.TryParse(Environment.GetEnvironmentVariable("DITTANY_PORT"), NumberStyles.None, CultureInfo.InvariantCulture, out var wanted) ? wanted : 5210;
    builder.WebHost.ConfigureKestrel(kestrel =>
    {
        kestrel.ListenLocalhost(port);
        kestrel.Limits.MaxRequestBodySize = Safety.MostBody;
        kestrel.AddServerHeader = false;
    });
    builder.Host.UseSerilog((_, log) => log
        .MinimumLevel.Information()
        .MinimumLevel.Override("Microsoft", Serilog.Events.LogEventLevel.Warning)
        .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", Serilog.Events.LogEventLevel.Error)
        .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture));

    var services = builder.Services;
    services.AddSingleton(folder);
    services.AddSingleton(TimeProvider.System);
    services.AddSingleton<Today>();
    services.AddDbContext<DittanyDb>((_, options) => options.UseSqlite(folder.ConnectionString).AddInterceptors(new DurablePragmas()));
    services.AddScoped<PieceStore>();
    services.AddScoped<WorkshopStore>();
    services.AddScoped<SheetStore>();
    services.AddScoped<CupboardStore>();
    services.AddScoped<LetterStore>();
    services.AddScoped<TracingStore>();
    services.AddSingleton<Dittany.Formats.Pictures.IPhoneCamera, Dittany.Formats.Pictures.MadeUpCamera>();
    services.AddSingleton<Straightening>();
    services.AddSingleton<PlanCache>();
    services.AddScoped<Desk>();
    if (WarmUp.Wanted)
    {
        services.AddHostedService<WarmUp>();
    }

    services.AddSingleton(new FolderPrinter(Path.Combine(folder.Path, "printed")));
    services.AddSingleton<IPrinter>(provider => provider.GetRequiredService<FolderPrinter>());
    services.AddRazorPages();
    services.AddAntiforgery(options => options.Cookie.SameSite = SameSiteMode.Strict);
    services.AddDataProtection().SetApplicationName("Dittany").PersistKeysToFileSystem(new DirectoryInfo(folder.KeysPath));
    services.Configure<HostFilteringOptions>(options => options.AllowedHosts = Safety.Hosts.ToArray());
    services.AddResponseCompression();
    services.AddRateLimiter(options =>
    {
        options.RejectionStatusCode = StatusCodes.Status503ServiceUnavailable;
        options.OnRejected = (rejected, _) => new ValueTask(
            Problems.Of(StatusCodes.Status503ServiceUnavailable, "Too many plans are being made at once: try again in a moment.", []).ExecuteAsync(rejected.HttpContext));
        options.AddPolicy(ApiDoor.FewAtOnce, _ => RateLimitPartition.GetConcurrencyLimiter(
            "plans", _ => new ConcurrencyLimiterOptions { PermitLimit = 4, QueueLimit = 64, QueueProcessingOrder = QueueProcessingOrder.OldestFirst }));
    });

    await using var app = builder.Build();
    using (var scope = app.Services.CreateScope())
    {
        folder.Migrate(scope.ServiceProvider.GetRequiredService<DittanyDb>());
        foreach (var shut in await scope.ServiceProvider.GetRequiredService<LetterStore>().Shelve())
        {
            await Console.Error.WriteLineAsync($"The font '{shut}' ended the program once while it was opened, and stays shut.");
        }

        if (demo)
        {
            await Demo.Fill(scope.ServiceProvider.GetRequiredService<PieceStore>(), scope.ServiceProvider.GetRequiredService<SheetStore>(), scope.ServiceProvider.GetRequiredService<CupboardStore>(), scope.ServiceProvider.GetRequiredService<TracingStore>(), app.Services.GetRequiredService<Today>().Date);
        }
    }

    app.UseSafeHeaders();
    app.UseHostFiltering();
    app.UseWhen(context => !context.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase), pages => pages.UseExceptionHandler("/Error").UseStatusCodePagesWithReExecute("/Error", "?code={0}"));
    app.UseWhen(context => context.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase), door => door.UseExceptionHandler(Problems.OnException).UseStatusCodePages(Problems.OnStatus));
    app.UseResponseCompression();
    app.UseStaticFiles();
    app.UseRouting();
    app.UseRateLimiter();
    app.MapRazorPages();
    app.MapApi();
    app.MapPictures();
    app.MapDrawings();
    app.Lifetime.ApplicationStarted.Register(() => Log.Information("Dittany is served at {Addresses}", string.Join(", ", app.Urls)));
    await app.RunAsync();
    return 0;
}

// From a build the pages' files lie beside the project; published, beside the program.
static string ContentRoot()
{
    var here = new DirectoryInfo(AppContext.BaseDirectory);
    for (var at = here; at is not null; at = at.Parent)
    {
        foreach (var folder in new[] { at.FullName, Path.Combine(at.FullName, "src", "Dittany.Web") })
        {
            if (File.Exists(Path.Combine(folder, "Dittany.Web.csproj")))
            {
                return folder;
            }
        }
    }

    return here.FullName;
}

/// <summary>Named so that tests can start the application.</summary>
public partial class Program;
