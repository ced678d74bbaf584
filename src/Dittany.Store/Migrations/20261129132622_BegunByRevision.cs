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
            migrationBuilder.AddColumn<int>(
                name: "BegunAt",
                table: "Revisions",
                type: "INTEGER",
                nullable: true);

            // By hand, for the framework's own way of changing a key cannot run in the transaction, and would leave half of it behind where the program is killed.
            // What was begun before this was kept goes by the piece, whichever way its revisions went.
            migrationBuilder.Sql(
                """
                CREATE TABLE "BegunBefore" ("PieceId" INTEGER NOT NULL, "Number" INTEGER NOT NULL, "At" TEXT NOT NULL, "PlanJson" TEXT NOT NULL, "WorkshopJson" TEXT NOT NULL, CONSTRAINT "PK_Begun" PRIMARY KEY ("PieceId", "Number"));
                INSERT INTO "BegunBefore" SELECT "PieceId", 0, "At", "PlanJson", "WorkshopJson" FROM "Begun";
                DROP TABLE "Begun";
                ALTER TABLE "BegunBefore" RENAME TO "Begun";
                UPDATE "Revisions" SET "BegunAt" = 0 WHERE "PieceId" IN (SELECT "PieceId" FROM "Begun");
                """);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "BegunAt",
                table: "Revisions");

            migrationBuilder.Sql(
                """
                CREATE TABLE "BegunAfter" ("PieceId" INTEGER NOT NULL CONSTRAINT "PK_Begun" PRIMARY KEY, "At" TEXT NOT NULL, "PlanJson" TEXT NOT NULL, "WorkshopJson" TEXT NOT NULL);
                INSERT OR REPLACE INTO "BegunAfter" SELECT "PieceId", "At", "PlanJson", "WorkshopJson" FROM "Begun" ORDER BY "Number";
                DROP TABLE "Begun";
                ALTER TABLE "BegunAfter" RENAME TO "Begun";
                """);
        }
    }
}
