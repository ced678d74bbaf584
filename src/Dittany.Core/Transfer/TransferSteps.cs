using Dittany.Core.Materials;

namespace Dittany.Core.Transfer;

/// <summary>The steps of a transfer in order, with their waits.</summary>
public static class TransferSteps
{
    /// <summary>What was fused lies flat until it is cold before anything is drawn (common practice; the minutes from memory).</summary>
    private const double CoolMinutes = 10;

    public static IReadOnlyList<TransferStep> For(Method method, Ink marker, string stabiliser, bool? mirrored, int sheets, bool tacked)
    {
        var steps = new List<TransferStep>();
        var behind = stabiliser.Split('+');
        if (behind.Contains("fusible-knit-behind"))
        {
            steps.Add(new("Fuse the soft knit backing behind, before any mark is made, and let it cool lying flat: heat after marking could set the line or take it out.", CoolMinutes));
        }

        if (behind.Contains("cut-away-behind"))
        {
            steps.Add(new("Tack the soft cut-away behind, wider than the hoop, before any mark is made.", 0));
        }

        if (behind.Contains("tear-away-behind"))
        {
            steps.Add(new("Lay the tear-away behind, wider than the work, and tack it.", 0));
        }

        if (mirrored is { } turned)
        {
            steps.Add(new($"Print the template {(turned ? "mirrored" : "as it reads, not mirrored")}, {(sheets == 1 ? "on one sheet" : $"on {sheets} sheets joined at their marks")}, measure the check line (100 mm), and cut it out with its margin.", 0));
        }

        steps.AddRange(method.Id switch
        {
            "light-trace" => [
                new("Tape the print to the light, face up, and the cloth over it, right side up, the placement marks on the lines.", 0),
                new($"Trace with {marker.Name}, thin, one line only.", 0)],
            "thin-cloth-trace" => [
                new("Tape the print behind the cloth, face up, the placement marks on the lines.", 0),
                new($"Trace with {marker.Name}, thin, one line only.", 0)],
            "film-traced" => [
                new($"Lay the film over the print and trace with {marker.Name}.", 0),
                new("Lay the film on the face, the right way round, its lines on the placement marks, and check that it is level.", 0),
                new(tacked ? "Pin it, tack round the edge in a bright thread, and take the pins out." : "Hoop film and cloth together, and smooth the film after every move of the hoop.", 0)],
            "stick-on-sheet" => [
                new("Peel the sheet, lay it on the face on the placement marks, and smooth every corner down; press it down again after every move of the hoop.", 0)],
            "hot-iron" => [
                new("Cut away what must not print. Go over the mirrored print with a transfer pencil, on the printed side. Test a letter on a scrap.", 0),
                new("Pin it face down on the face of the cloth. Dry iron, cotton setting, no steam: press, do not slide; lift a corner to look before unpinning. Once off it is never laid back.", 5)],
            "coated-paper" => [
                new("Iron the paper, coated side to the wrong side of the cloth, dry, until it holds; plastic-coated ironing paper only, waxed kitchen paper greases the cloth.", 5),
                new($"Turn over onto the light and trace with {marker.Name} only now, for the iron would take a heat-erasable line; peel the paper off before stitching.", 0)],
            "cut-out" => [new($"Cut the shapes out, try them on the item, and draw round them with {marker.Name}; cut inwards bit by bit for inner lines.", 0)],
            "carbon" => [new("Lay the carbon face down on the cloth, the print face up on it, and go over the lines with an empty pen.", 0)],
            "prick-and-pounce" => [new($"Prick the lines, lay the paper on the cloth, rub powder through, and join the dots with {marker.Name}.", 0)],
            "tissue" => [
                new($"Trace onto tissue with {marker.Name}, lay it on the face on the placement marks, and tack along the lines in small stitches.", 0),
                new("Tear the tissue away from the tacked lines before stitching, holding the cloth with a thumb.", 0)],
            "tacked-from-back" => [
                new($"Lay the mirrored print on the wrong side, go over it with {marker.Name}, and tack along the lines, long on the face, short behind.", 0)],
            _ => new TransferStep[] { new($"Draw a base line and the height of the capitals with a ruler, then the letters with {marker.Name}.", 0) },
        });
        if (method.Id is not "film-traced" and not "stick-on-sheet" && behind.Contains("film-on-top"))
        {
            steps.Add(new("Lay plain film over the marks, to keep the stitches out of the pile, and tack it round the edge.", 0));
        }

        return steps;
    }
}
