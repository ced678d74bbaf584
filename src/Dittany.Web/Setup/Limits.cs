using Dittany.Core.Measures;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Data.Sqlite;

namespace Dittany.Web.Setup;

/// <summary>What was too large, or found no room, in words.</summary>
public static class Limits
{
    /// <summary>No space left on the device, as the system numbers it (POSIX, errno.h).</summary>
    private const int NoSpace = 28;

    /// <summary>The database or disk is full (SQLite, result codes).</summary>
    private const int DatabaseFull = 13;

    /// <summary>
    /// How large something is and what is the most; <paramref name="bytes"/> null where it did not say before it was cut off.
    /// </summary>
    public static string Told(string what, long? bytes, long most) => bytes is { } sent && sent > most
        ? $"{what} has {Megabytes(sent)} MB, and {Megabytes(most)} MB is the most." : $"{what} has more than {Megabytes(most)} MB, which is the most.";

    /// <summary>What may be sent to an address at the most, in bytes.</summary>
    public static long MostAt(Endpoint? endpoint) => endpoint?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize
        ?? Safety.MostBody;

    /// <summary>Whether something failed because the disk is full.</summary>
    public static bool DiskFull(Exception? error) => error is not null && (error is SqliteException { SqliteErrorCode: DatabaseFull }
        || (error is IOException io && (io.HResult & 0xFFFF) == NoSpace) || DiskFull(error.InnerException));

    private static string Megabytes(long bytes) => Say.Number(Math.Ceiling(bytes / 1048576.0 * 10) / 10, 1);
}
