namespace Dittany.Store;

/// <summary>A piece as stored: its head says which revision stands. Instants are UTC.</summary>
public sealed class PieceRow
{
    public int Id { get; set; }

    public int Head { get; set; }

    public DateTime CreatedAt { get; set; }

    /// <summary>Set where she put it away: it is on no list, and can be brought back.</summary>
    public bool PutAway { get; set; }

    /// <summary>What the form that made it was marked with, so that one sent twice makes one piece.</summary>
    public string? Once { get; set; }

    public List<RevisionRow> Revisions { get; } = [];
}

/// <summary>One state of a piece's job. Never changed, never removed. The first has no parent.</summary>
public sealed class RevisionRow
{
    public int PieceId { get; set; }

    public int Number { get; set; }

    public int? Parent { get; set; }

    public required string JobJson { get; set; }

    /// <summary>What was changed, in words.</summary>
    public required string What { get; set; }

    /// <summary>Set for nudges, so that quick ones undo as one.</summary>
    public bool Nudge { get; set; }

    /// <summary>
    /// The revision by which the work was begun that this one goes on with; null where it is not begun. 0 is one from before this was kept.
    /// </summary>
    public int? BegunAt { get; set; }

    public DateTime At { get; set; }
}

/// <summary>One state of the workshop.</summary>
public sealed class WorkshopRow
{
    /// <summary>Since when her skill has been said to be as it is; null in one from before this was kept.</summary>
    public DateTime? SkillSince { get; set; }

    public int Number { get; set; }

    public int? Parent { get; set; }

    public required string Json { get; set; }

    public required string What { get; set; }

    public DateTime At { get; set; }
}

/// <summary>Which revision of the workshop stands. One row.</summary>
public sealed class WorkshopHeadRow
{
    public int Id { get; set; }

    public int Head { get; set; }
}

/// <summary>
/// A sheet that went out: what is on paper does not change with the rules. Its number stands on it. A sheet whose check line was measured
/// otherwise is void.
/// </summary>
public sealed class PrintedRow
{
    public int Id { get; set; }

    public int PieceId { get; set; }

    public int Revision { get; set; }

    public required string InputHash { get; set; }

    public required string PlanJson { get; set; }

    public DateTime At { get; set; }

    /// <summary>Which sheet: template, placement, work, care or tag.</summary>
    public required string Kind { get; set; }

    /// <summary>The printer it went to, by its name.</summary>
    public required string Printer { get; set; }

    /// <summary>What the sheet was enlarged by, against that printer's error.</summary>
    public double Enlarged { get; set; } = 1;

    /// <summary>What she measured of its check line, mm; null while she has not.</summary>
    public double? MeasuredMm { get; set; }

    /// <summary>Set where the measure says that the sheet must not be used.</summary>
    public bool Void { get; set; }
}

/// <summary>Words read back letter by letter and found right, with whose yes it was.</summary>
public sealed class ProofRow
{
    public int Id { get; set; }

    public int PieceId { get; set; }

    /// <summary>The very words that were read back; other words want another proof.</summary>
    public required string Words { get; set; }

    public required string Who { get; set; }

    public DateTime At { get; set; }
}

/// <summary>
/// The habits and equipment a piece was begun with, and its plan as made then: later changes of workshop or rules do not move what is
/// stitched.
/// </summary>
public sealed class BegunRow
{
    public int PieceId { get; set; }

    /// <summary>The revision that began it: revisions branch, and each branch goes on with its own.</summary>
    public int Number { get; set; }

    public required string WorkshopJson { get; set; }

    public required string PlanJson { get; set; }

    public DateTime At { get; set; }
}

/// <summary>A printer and what it does to a length: 0.97 prints 97 mm where 100 were asked.</summary>
public sealed class PrinterRow
{
    public required string Name { get; set; }

    public double Scale { get; set; } = 1;

    public DateTime At { get; set; }
}

/// <summary>An own form: its head says which revision stands.</summary>
public sealed class FormRow
{
    public required string Id { get; set; }

    public int Head { get; set; }

    public bool Archived { get; set; }
}

/// <summary>One state of an own form, as <c>dittany.form/1</c>. Never changed, never removed.</summary>
public sealed class FormRevisionRow
{
    public required string FormId { get; set; }

    public int Number { get; set; }

    /// <summary>The revision it was made from; null for the first.</summary>
    public int? Parent { get; set; }

    public required string Json { get; set; }

    public required string What { get; set; }

    public DateTime At { get; set; }
}

/// <summary>A picture under the hash of its bytes.</summary>
public sealed class PictureRow
{
    public required string Id { get; set; }

    public required byte[] Bytes { get; set; }

    public required string ContentType { get; set; }

    public int WidthPx { get; set; }

    public int HeightPx { get; set; }

    public DateTime At { get; set; }
}

/// <summary>
/// A photograph on its way to a form: the picture, what lies beside the item and where its corners were pointed at, and the straightened
/// view once there is one.
/// </summary>
public sealed class PhotographRow
{
    public int Id { get; set; }

    public required string PictureId { get; set; }

    /// <summary>Where it came from, in words.</summary>
    public required string Note { get; set; }

    public string? Reference { get; set; }

    /// <summary>Corners as pointed at, px: x,y pairs divided by blanks.</summary>
    public string? Corners { get; set; }

    /// <summary>What the view is turned by, degrees clockwise.</summary>
    public double TurnDegrees { get; set; }

    public string? ViewId { get; set; }

    /// <summary>The own form this is to be one more side of; null for a new one.</summary>
    public string? ForForm { get; set; }

    public DateTime At { get; set; }
}

/// <summary>A font of her own: its bytes as they were brought, known by their hash. Never removed, for pieces name it.</summary>
public sealed class FontRow
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required byte[] Bytes { get; init; }

    public DateTime At { get; init; }

    /// <summary>
    /// Whether it is being opened for the first time: one that is still so at the next start ended the program, and stays shut.
    /// </summary>
    public bool Opening { get; set; }
}

/// <summary>A drawing of her own, as the parts that were read from what she brought.</summary>
public sealed class DrawingRow
{
    public int Id { get; init; }

    public required string Name { get; set; }

    public required string PartsJson { get; set; }

    /// <summary>Which revision of its tracing it is, where it was traced over a picture; null where it was brought in.</summary>
    public int? Head { get; set; }

    /// <summary>What of the file was not used, in a sentence; empty where all was.</summary>
    public required string NotUsed { get; init; }

    public DateTime At { get; init; }

    public bool Archived { get; set; }
}

/// <summary>One state of a drawing traced over a picture. Never changed, never removed.</summary>
public sealed class TracingRow
{
    public int DrawingId { get; set; }

    public int Number { get; set; }

    /// <summary>The revision it was made from; 0 for the first.</summary>
    public int Parent { get; set; }

    public required string Json { get; set; }

    public required string What { get; set; }

    public DateTime At { get; set; }
}

/// <summary>
/// A stretch of work as it was logged, never changed: a correction is a row of its own that stands for the one it names. Instants are UTC.
/// </summary>
public sealed class LogRow
{
    public int Id { get; set; }

    public int PieceId { get; set; }

    /// <summary>The step of the plan: an operation, or a length of thread.</summary>
    public required string Step { get; set; }

    public required string Kind { get; set; }

    /// <summary>What the plan reckoned for it by the usual pace, minutes, and how long it took without pauses.</summary>
    public double PlannedMinutes { get; set; }

    public double Minutes { get; set; }

    /// <summary>The stitch, the kind of cloth and the form, by their ids; null where nobody kept them.</summary>
    public string? Stitch { get; set; }

    public string? Cloth { get; set; }

    public string? Item { get; set; }

    /// <summary>What was measured beside the minutes, mm by the usual and really; null where nothing was.</summary>
    public double? PlannedMm { get; set; }

    public double? RealMm { get; set; }

    /// <summary>A picture of the piece as it was on that day; null for all else.</summary>
    public string? PictureId { get; set; }

    /// <summary>What was left of the thread, mm; null where nobody said.</summary>
    public double? LeftMm { get; set; }

    public required string Note { get; set; }

    /// <summary>What the page that sent it marked it with, so that one sent twice is kept once.</summary>
    public required string Once { get; set; }

    /// <summary>The row this one stands for; null for a first entry.</summary>
    public int? For { get; set; }

    /// <summary>Set where she took it back.</summary>
    public bool TakenBack { get; set; }

    public DateTime At { get; set; }
}
