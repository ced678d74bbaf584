using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class Tracings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "Head",
                table: "Drawings",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "Tracings",
                columns: table => new
                {
                    DrawingId = table.Column<int>(type: "INTEGER", nullable: false),
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Parent = table.Column<int>(type: "INTEGER", nullable: false),
                    Json = table.Column<string>(type: "TEXT", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tracings", x => new { x.DrawingId, x.Number });
                    table.ForeignKey(
                        name: "FK_Tracings_Drawings_DrawingId",
                        column: x => x.DrawingId,
                        principalTable: "Drawings",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Tracings");

            migrationBuilder.DropColumn(
                name: "Head",
                table: "Drawings");
        }
    }
}
