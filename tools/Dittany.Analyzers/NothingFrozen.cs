using System.Collections.Immutable;
using System.Linq;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Dittany.Analyzers;

/// <summary>
/// A sentence that is turned into letters loses its lengths: they can no longer be told in the units of the one who reads. Where one side of
/// a choice is a sentence and the other letters, the language quietly makes letters of both.
/// </summary>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class NothingFrozen : DiagnosticAnalyzer
{
    private const string Sentence = "Dittany.Core.Measures.Told";

    private static readonly DiagnosticDescriptor Rule = new(
        "DIT003",
        "A choice between sentences stays a sentence",
        "Here a sentence becomes letters and its lengths can no longer be told in other units: make every side of the choice a sentence",
        "Design",
        DiagnosticSeverity.Error,
        isEnabledByDefault: true);

    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics => ImmutableArray.Create(Rule);

    public override void Initialize(AnalysisContext context)
    {
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.EnableConcurrentExecution();
        context.RegisterSyntaxNodeAction(Chosen, SyntaxKind.ConditionalExpression, SyntaxKind.SwitchExpression, SyntaxKind.CoalesceExpression);
    }

    private static void Chosen(SyntaxNodeAnalysisContext context)
    {
        foreach (var side in Sides(context.Node))
        {
            var told = context.SemanticModel.GetTypeInfo(side, context.CancellationToken);
            if (told.Type?.ToDisplayString() is Sentence or Sentence + "?" && told.ConvertedType?.SpecialType == SpecialType.System_String)
            {
                context.ReportDiagnostic(Diagnostic.Create(Rule, side.GetLocation()));
            }
        }
    }

    private static ExpressionSyntax[] Sides(SyntaxNode choice) => choice switch
    {
        ConditionalExpressionSyntax either => new[] { either.WhenTrue, either.WhenFalse },
        BinaryExpressionSyntax { RawKind: (int)SyntaxKind.CoalesceExpression } either => new[] { either.Left, either.Right },
        SwitchExpressionSyntax many => many.Arms.Select(a => a.Expression).ToArray(),
        _ => System.Array.Empty<ExpressionSyntax>(),
    };
}
