using Dittany.Core.Items;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Dittany.Web.Setup;
using Dittany.Web.Tests.Setup;
using Microsoft.Extensions.DependencyInjection;

namespace Dittany.Web.Tests.Pictures;

/// <summary>Straightening beside the requests: one at a time for a photograph, and always at an end, good or bad.</summary>
public sealed class StraighteningTests : IDisposable
{
    private readonly Site _site = new();

    public StraighteningTests() => _site.Start();

    public void Dispose() => _site.Dispose();

    private static (byte[] Photo, Straightened View) Shot()
    {
        var scene = MadeUpCamera.All.Single(s => s.Id == "bag-card");
        return (MadeUpCamera.Render(scene), Photographed.Straighten(scene.Reference, MadeUpCamera.CornersOf(scene), scene.Pose.WidthPx,
            scene.Pose.HeightPx, 1).View!);
    }

    private async Task<int> Kept(byte[] photo)
    {
        await using var scope = _site.Services.CreateAsyncScope();
        var cupboard = scope.ServiceProvider.GetRequiredService<CupboardStore>();
        return await cupboard.Begin(await cupboard.Keep(PictureFile.Take(photo).Picture!), "made up", null);
    }

    [Fact]
    public async Task The_later_one_takes_the_place_of_the_one_before()
    {
        var (photo, view) = Shot();
        var id = await Kept(photo);
        var straightening = _site.Services.GetRequiredService<Straightening>();
        var all = Enumerable.Range(0, 4).Select(_ => straightening.Begin(id, photo, view)).ToArray();
        await Task.WhenAll(all);
        Assert.Equal((true, null, 1.0), (straightening.Of(id)!.Done, straightening.Of(id)!.Trouble, straightening.Of(id)!.Progress.Share));
    }

    /// <summary>Whatever goes wrong, the page that waits hears of it: a picture that is none, a photograph that is gone.</summary>
    [Fact]
    public async Task What_fails_ends_with_a_sentence()
    {
        var (photo, view) = Shot();
        var straightening = _site.Services.GetRequiredService<Straightening>();
        await straightening.Begin(1, [1, 2, 3], view);
        Assert.Contains("could not be straightened", straightening.Of(1)!.Trouble, StringComparison.Ordinal);
        await straightening.Begin(4711, photo, view);
        Assert.True(straightening.Of(4711)!.Done);
    }
}
