using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class PutAway : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Once",
                table: "Pieces",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "PutAway",
                table: "Pieces",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateIndex(
                name: "IX_Pieces_Once",
                table: "Pieces",
                column: "Once",
                unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "IX_Pieces_Once",
                table: "Pieces");

            migrationBuilder.DropColumn(
                name: "Once",
                table: "Pieces");

            migrationBuilder.DropColumn(
                name: "PutAway",
                table: "Pieces");
        }
    }
}
