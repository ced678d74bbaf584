using Dittany.Store;
using Microsoft.Extensions.Diagnostics.HealthChecks;

namespace Dittany.Web.Setup;

/// <summary>Whether the database is there and can be read: what <c>/health</c> tells whoever watches over the program.</summary>
public sealed class StoreHealth(DittanyDb db) : IHealthCheck
{
    public async Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) =>
        await db.Database.CanConnectAsync(cancellationToken) ? HealthCheckResult.Healthy("The database can be read.")
            : HealthCheckResult.Unhealthy("The database cannot be read.");
}
