using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Dittany.Web.Tests.Setup;

/// <summary>The application over a data folder of its own.</summary>
public sealed class Site : WebApplicationFactory<Program>
{
    /// <summary>The day it is in the tests: a Wednesday, so that the weekend is neither near nor just over.</summary>
    public const string Day = "2027-03-03";

    private static readonly Lock Starting = new();
    private readonly string _folder = Directory.CreateTempSubdirectory("dittany-").FullName;

    public string Folder => _folder;

    public HttpClient Start()
    {
        lock (Starting)
        {
            // The folder is named by the environment, so only one application starts at a time.
            Environment.SetEnvironmentVariable("DITTANY_DATA", _folder);
            Environment.SetEnvironmentVariable("DITTANY_WARM_UP", "no");
            Environment.SetEnvironmentVariable("DITTANY_DAY", Day);
            return CreateClient(new WebApplicationFactoryClientOptions
            {
                AllowAutoRedirect = false,
                BaseAddress = new Uri("http://localhost")
            });
        }
    }

    public static StringContent Json(string json) => new(json, Encoding.UTF8, new MediaTypeHeaderValue("application/json"));

    public static async Task<JsonElement> Read(HttpResponseMessage answer)
    {
        using var document = JsonDocument.Parse(await answer.Content.ReadAsByteArrayAsync());
        return document.RootElement.Clone();
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder) => builder.UseEnvironment("Production");
}
