using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class Sides : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "ForForm",
                table: "Photographs",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "Parent",
                table: "FormRevisions",
                type: "INTEGER",
                nullable: true);

            // Until now a revision was made from the one before it.
            migrationBuilder.Sql("UPDATE FormRevisions SET Parent = Number - 1 WHERE Number > 1;");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "ForForm",
                table: "Photographs");

            migrationBuilder.DropColumn(
                name: "Parent",
                table: "FormRevisions");
        }
    }
}
