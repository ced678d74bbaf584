namespace Dittany.Store;

/// <summary>A piece as stored: its head says which revision stands. Instants are UTC.</summary>
public sealed class PieceRow
{
    public int Id { get; set; }

    public int Head { get; set; }

    public DateTime CreatedAt { get; set; }

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

    public DateTime At { get; set; }
}

/// <summary>One state of the workshop.</summary>
public sealed class WorkshopRow
{
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

/// <summary>A plan as printed: what is on paper does not change with the rules.</summary>
public sealed class PrintedRow
{
    public int Id { get; set; }

    public int PieceId { get; set; }

    public int Revision { get; set; }

    public required string InputHash { get; set; }

    public required string PlanJson { get; set; }

    public DateTime At { get; set; }
}
