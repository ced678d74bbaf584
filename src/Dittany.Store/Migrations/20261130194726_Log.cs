using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class Log : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Log",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    PieceId = table.Column<int>(type: "INTEGER", nullable: false),
                    Step = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    PlannedMinutes = table.Column<double>(type: "REAL", nullable: false),
                    Minutes = table.Column<double>(type: "REAL", nullable: false),
                    LeftMm = table.Column<double>(type: "REAL", nullable: true),
                    Note = table.Column<string>(type: "TEXT", nullable: false),
                    Once = table.Column<string>(type: "TEXT", nullable: false),
                    For = table.Column<int>(type: "INTEGER", nullable: true),
                    TakenBack = table.Column<bool>(type: "INTEGER", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Log", x => x.Id);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Log_Once",
                table: "Log",
                column: "Once",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Log_PieceId",
                table: "Log",
                column: "PieceId");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Log");
        }
    }
}
