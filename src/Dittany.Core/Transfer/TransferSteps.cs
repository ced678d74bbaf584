using Dittany.Core.Materials;

namespace Dittany.Core.Transfer;

/// <summary>The steps of a transfer in order, with their waits.</summary>
public static class TransferSteps
{
    public static IReadOnlyList<TransferStep> For(Method method, Ink marker, string stabiliser, bool? mirrored, int sheets)
    {
        var steps = new List<TransferStep>();
        if (stabiliser.Contains("fusible-knit-behind", StringComparison.Ordinal))
        {
            steps.Add(new("Fuse the soft knit backing behind, before any mark is made, and let it cool lying flat.", 10));
        }

        if (mirrored is { } turned)
        {
            steps.Add(new($"Print the template {(turned ? "mirrored" : "as it reads, not mirrored")}, {(sheets == 1 ? "on one sheet" : $"on {sheets} sheets joined at their marks")}, and measure the check line: 100 mm.", 0));
        }

        steps.AddRange(method.Id switch
        {
            "light-trace" or "thin-cloth-trace" => [
                new("Tape the print to the light, face up, and the cloth over it, right side up, the placement marks on the lines.", 0),
                new($"Trace with {marker.Name}, thin, one line only.", 0)],
            "film-traced" => [
                new($"Lay the film over the print and trace with {marker.Name}.", 0),
                new("Lay the film on the face, the right way round, its lines on the placement marks; pin, check that it is level, tack round the edge, take the pins out.", 0)],
            "stick-on-sheet" => [
                new("Peel the sheet, lay it on the face on the placement marks, and smooth every corner down.", 0)],
            "hot-iron" => [
                new("Go over the mirrored print with a transfer pencil, on the printed side. Test a letter on a scrap.", 0),
                new("Pin it face down on the face of the cloth. Dry iron, cotton setting, no steam: press, do not slide; lift a corner to look before unpinning.", 5)],
            "coated-paper" => [
                new("Iron the paper, coated side to the wrong side of the cloth, dry, until it holds.", 5),
                new($"Turn over onto the light and trace with {marker.Name}; peel the paper off before stitching.", 0)],
            "cut-out" => [new($"Cut the shapes out and draw round them with {marker.Name}.", 0)],
            "carbon" => [new("Lay the carbon face down on the cloth, the print face up on it, and go over the lines with an empty pen.", 0)],
            "prick-and-pounce" => [new($"Prick the lines, lay the paper on the cloth, rub powder through, and join the dots with {marker.Name}.", 0)],
            "tissue" => [new($"Trace onto tissue with {marker.Name}, lay it on the face and tack along the lines; tear it away.", 0)],
            "tacked-from-back" => [new("Lay the mirrored print on the wrong side and tack along the lines, long in front, short behind.", 0)],
            _ => new TransferStep[] { new($"Draw a base line and the height of the capitals with a ruler, then the letters with {marker.Name}.", 0) },
        });
        return steps;
    }
}
