using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class BegunByRevision : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropPrimaryKey(
                name: "PK_Begun",
                table: "Begun");

            migrationBuilder.AddColumn<int>(
                name: "BegunAt",
                table: "Revisions",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "Number",
                table: "Begun",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddPrimaryKey(
                name: "PK_Begun",
                table: "Begun",
                columns: new[] { "PieceId", "Number" });

            // What was begun before this was kept goes by the piece, whichever way its revisions went.
            migrationBuilder.Sql("UPDATE Revisions SET BegunAt = 0 WHERE PieceId IN (SELECT PieceId FROM Begun)");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropPrimaryKey(
                name: "PK_Begun",
                table: "Begun");

            migrationBuilder.DropColumn(
                name: "BegunAt",
                table: "Revisions");

            migrationBuilder.DropColumn(
                name: "Number",
                table: "Begun");

            migrationBuilder.AddPrimaryKey(
                name: "PK_Begun",
                table: "Begun",
                column: "PieceId");
        }
    }
}
