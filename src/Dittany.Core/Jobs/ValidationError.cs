namespace Dittany.Core.Jobs;

/// <summary>One thing in a job that makes no sense: where it is, what is wrong, and what would do.</summary>
public sealed record ValidationError(string Pointer, string Detail, string Try);
