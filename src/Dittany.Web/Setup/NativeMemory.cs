using System.Runtime.InteropServices;

namespace Dittany.Web.Setup;

/// <summary>
/// How the C library hands out memory to the libraries that read fonts and pictures. Left alone it keeps a store for every few threads
/// (eight a processor) and gives none of it back: after half an hour of many answers at once most of the memory held was such stores,
/// nearly empty. Two stores serve one maker's program as fast.
/// </summary>
public static class NativeMemory
{
    /// <summary>Stores at the most, beside those that stood before the program's first line.</summary>
    public const int Arenas = 2;

    /// <summary>
    /// Larger blocks come from the system and go back to it; as much may lie free at the end of a store. 128 KiB, the library's own first
    /// values (mallopt(3)), held there.
    /// </summary>
    private const int BlockBytes = 128 * 1024;

    // malloc.h of the GNU C library: M_TRIM_THRESHOLD, M_MMAP_THRESHOLD, M_ARENA_MAX.
    private const int TrimThreshold = -1;
    private const int MapThreshold = -3;
    private const int MostArenas = -8;

    /// <summary>Bounds it where this C library can be told; elsewhere nothing changes. Whether it took it.</summary>
    public static bool Bound()
    {
        if (!OperatingSystem.IsLinux())
        {
            return false;
        }

        try
        {
            return Set(MostArenas, Arenas) == 1 && Set(TrimThreshold, BlockBytes) == 1 && Set(MapThreshold, BlockBytes) == 1;
        }
        catch (Exception e) when (e is EntryPointNotFoundException or DllNotFoundException)
        {
            // Another C library, which hands out memory in its own way.
            return false;
        }
    }

    [DllImport("libc", EntryPoint = "mallopt")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.System32)]
    private static extern int Set(int what, int value);
}
