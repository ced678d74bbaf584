using System.Net;

namespace Dittany.Web.Tests.Setup;

/// <summary>Whoever watches over the program is told whether it can do its work.</summary>
public sealed class HealthTests
{
    [Fact]
    public async Task It_is_well_while_its_database_can_be_read()
    {
        using var site = new Site();
        using var watcher = site.Start();
        using var well = await watcher.GetAsync(new Uri("/health", UriKind.Relative));
        Assert.Equal(HttpStatusCode.OK, well.StatusCode);
        Assert.Equal("Healthy", await well.Content.ReadAsStringAsync());

        File.Delete(Path.Combine(site.Folder, "dittany.db"));
        using var ill = await watcher.GetAsync(new Uri("/health", UriKind.Relative));
        Assert.Equal(HttpStatusCode.ServiceUnavailable, ill.StatusCode);
    }
}
