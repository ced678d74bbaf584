using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <inheritdoc />
    public partial class SkillSince : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTime>(
                name: "SkillSince",
                table: "Workshops",
                type: "TEXT",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "SkillSince",
                table: "Workshops");
        }
    }
}
