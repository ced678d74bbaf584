using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class Sheets : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<double>(
                name: "Enlarged",
                table: "Printed",
                type: "REAL",
                nullable: false,
                defaultValue: 1.0);

            migrationBuilder.AddColumn<string>(
                name: "Kind",
                table: "Printed",
                type: "TEXT",
                nullable: false,
                defaultValue: "template");

            migrationBuilder.AddColumn<double>(
                name: "MeasuredMm",
                table: "Printed",
                type: "REAL",
                nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "Printer",
                table: "Printed",
                type: "TEXT",
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<bool>(
                name: "Void",
                table: "Printed",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "Begun",
                columns: table => new
                {
                    PieceId = table.Column<int>(type: "INTEGER", nullable: false),
                    WorkshopJson = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Begun", x => x.PieceId);
                });

            migrationBuilder.CreateTable(
                name: "Printers",
                columns: table => new
                {
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Scale = table.Column<double>(type: "REAL", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Printers", x => x.Name);
                });

            migrationBuilder.CreateTable(
                name: "Proofs",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    PieceId = table.Column<int>(type: "INTEGER", nullable: false),
                    Words = table.Column<string>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Proofs", x => x.Id);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Proofs_PieceId",
                table: "Proofs",
                column: "PieceId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Begun");

            migrationBuilder.DropTable(
                name: "Printers");

            migrationBuilder.DropTable(
                name: "Proofs");

            migrationBuilder.DropColumn(
                name: "Enlarged",
                table: "Printed");

            migrationBuilder.DropColumn(
                name: "Kind",
                table: "Printed");

            migrationBuilder.DropColumn(
                name: "MeasuredMm",
                table: "Printed");

            migrationBuilder.DropColumn(
                name: "Printer",
                table: "Printed");

            migrationBuilder.DropColumn(
                name: "Void",
                table: "Printed");
        }
    }
}
