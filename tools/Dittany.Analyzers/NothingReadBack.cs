using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Dittany.Analyzers;

/// <summary>
/// In the core nothing is decided by reading a sentence: what was known when it was told is kept as a fact. A sentence may be put into
/// another, compared with one, or shown; never searched.
/// </summary>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class NothingReadBack : DiagnosticAnalyzer
{
    private const string Sentence = "Dittany.Core.Measures.Told";

    private static readonly ImmutableHashSet<string> Searching = ImmutableHashSet.Create("Contains", "StartsWith", "EndsWith", "IndexOf",
        "LastIndexOf", "Split", "Substring", "Replace");

    private static readonly DiagnosticDescriptor Rule = new(
        "DIT002",
        "Nothing is decided by reading a sentence",
        "A sentence is not searched: keep what it was made of as a fact, and ask that",
        "Design",
        DiagnosticSeverity.Error,
        isEnabledByDefault: true);

    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics => ImmutableArray.Create(Rule);

    public override void Initialize(AnalysisContext context)
    {
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.EnableConcurrentExecution();
        context.RegisterSyntaxNodeAction(Searched, SyntaxKind.InvocationExpression);
        context.RegisterSyntaxNodeAction(Compared, SyntaxKind.EqualsExpression, SyntaxKind.NotEqualsExpression);
    }

    /// <summary>A search of a sentence, or of what it is written as; within the sentence itself it may.</summary>
    private static void Searched(SyntaxNodeAnalysisContext context)
    {
        var call = (InvocationExpressionSyntax)context.Node;
        if (call.Expression is MemberAccessExpressionSyntax { Name.Identifier.Text: var name } member && Searching.Contains(name)
            && (IsSentence(context, member.Expression) || Written(context, member.Expression)) && !Within(context))
        {
            context.ReportDiagnostic(Diagnostic.Create(Rule, call.GetLocation()));
        }
    }

    /// <summary>A sentence compared with words that stand in the code.</summary>
    private static void Compared(SyntaxNodeAnalysisContext context)
    {
        var binary = (BinaryExpressionSyntax)context.Node;
        var (left, right) = (IsSentence(context, binary.Left), IsSentence(context, binary.Right));
        if (((left && binary.Right.IsKind(SyntaxKind.StringLiteralExpression)) || (right
            && binary.Left.IsKind(SyntaxKind.StringLiteralExpression)))
            && !Within(context))
        {
            context.ReportDiagnostic(Diagnostic.Create(Rule, binary.GetLocation()));
        }
    }

    private static bool Written(SyntaxNodeAnalysisContext context, ExpressionSyntax expression) =>
        expression is InvocationExpressionSyntax { Expression: MemberAccessExpressionSyntax { Name.Identifier.Text: "ToString" or "In" } inner }
        && IsSentence(context, inner.Expression);

    private static bool IsSentence(SyntaxNodeAnalysisContext context, ExpressionSyntax expression) =>
        context.SemanticModel.GetTypeInfo(expression, context.CancellationToken).Type?.ToDisplayString() is Sentence or Sentence + "?";

    private static bool Within(SyntaxNodeAnalysisContext context) =>
        context.ContainingSymbol?.ContainingType?.ToDisplayString() == Sentence;
}
