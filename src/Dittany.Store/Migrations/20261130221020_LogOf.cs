using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class LogOf : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Cloth",
                table: "Log",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Item",
                table: "Log",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "PictureId",
                table: "Log",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "PlannedMm",
                table: "Log",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "RealMm",
                table: "Log",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Stitch",
                table: "Log",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Cloth",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "Item",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "PictureId",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "PlannedMm",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "RealMm",
                table: "Log");

            migrationBuilder.DropColumn(
                name: "Stitch",
                table: "Log");
        }
    }
}
