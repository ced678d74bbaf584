using Microsoft.Extensions.FileProviders;
using Microsoft.Extensions.Primitives;

namespace Dittany.Web.Setup;

/// <summary>
/// Styles, scripts and fonts as they came with the program: they do not change while it runs, so nothing watches them. A watcher for each
/// program uses up what a machine has of them.
/// </summary>
internal sealed class StillFiles(IFileProvider files) : IFileProvider
{
    public IFileInfo GetFileInfo(string subpath) => files.GetFileInfo(subpath);

    public IDirectoryContents GetDirectoryContents(string subpath) => files.GetDirectoryContents(subpath);

    public IChangeToken Watch(string filter) => NullChangeToken.Singleton;
}
