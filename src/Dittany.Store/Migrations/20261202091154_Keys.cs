using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Dittany.Store.Migrations
{
    /// <summary>
    /// What hangs on a piece, a revision, a picture or a form says so to the database: none can point at what is not there.
    /// </summary>
    public partial class Keys : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // By hand, for the framework's own way of adding a key cannot run in the transaction, and would leave half of it behind where
            // the program is killed.
            // A table others hang on comes before them: while they hang on it, it cannot be taken away.
            migrationBuilder.Sql(
                """
                CREATE TABLE "WorkshopsKept" (
                    "Number" INTEGER NOT NULL CONSTRAINT "PK_Workshops" PRIMARY KEY, "At" TEXT NOT NULL, "Json" TEXT NOT NULL,
                    "Parent" INTEGER NULL, "What" TEXT NOT NULL,
                    CONSTRAINT "FK_Workshops_Workshops_Parent" FOREIGN KEY ("Parent") REFERENCES "WorkshopsKept" ("Number") ON DELETE RESTRICT);
                INSERT INTO "WorkshopsKept" ("Number", "At", "Json", "Parent", "What")
                SELECT "Number", "At", "Json", "Parent", "What" FROM "Workshops";
                DROP TABLE "Workshops";
                ALTER TABLE "WorkshopsKept" RENAME TO "Workshops";
                CREATE INDEX "IX_Workshops_Parent" ON "Workshops" ("Parent");

                CREATE TABLE "FormRevisionsKept" (
                    "FormId" TEXT NOT NULL, "Number" INTEGER NOT NULL, "At" TEXT NOT NULL, "Json" TEXT NOT NULL,
                    "Parent" INTEGER NULL, "What" TEXT NOT NULL, CONSTRAINT "PK_FormRevisions" PRIMARY KEY ("FormId",
                    "Number"),
                    CONSTRAINT "FK_FormRevisions_FormRevisions_FormId_Parent" FOREIGN KEY ("FormId", "Parent") REFERENCES "FormRevisionsKept" ("FormId", "Number") ON DELETE RESTRICT,
                    CONSTRAINT "FK_FormRevisions_Forms_FormId" FOREIGN KEY ("FormId") REFERENCES "Forms" ("Id") ON DELETE RESTRICT);
                INSERT INTO "FormRevisionsKept" ("FormId", "Number", "At", "Json", "Parent", "What")
                SELECT "FormId", "Number", "At", "Json", "Parent", "What" FROM "FormRevisions";
                DROP TABLE "FormRevisions";
                ALTER TABLE "FormRevisionsKept" RENAME TO "FormRevisions";
                CREATE INDEX "IX_FormRevisions_FormId_Parent" ON "FormRevisions" ("FormId", "Parent");

                CREATE TABLE "RevisionsKept" (
                    "PieceId" INTEGER NOT NULL, "Number" INTEGER NOT NULL, "At" TEXT NOT NULL, "BegunAt" INTEGER NULL,
                    "JobJson" TEXT NOT NULL, "Nudge" INTEGER NOT NULL, "Parent" INTEGER NULL,
                    "What" TEXT NOT NULL, CONSTRAINT "PK_Revisions" PRIMARY KEY ("PieceId", "Number"),
                    CONSTRAINT "FK_Revisions_Pieces_PieceId" FOREIGN KEY ("PieceId") REFERENCES "Pieces" ("Id") ON DELETE RESTRICT,
                    CONSTRAINT "FK_Revisions_Revisions_PieceId_Parent" FOREIGN KEY ("PieceId", "Parent") REFERENCES "RevisionsKept" ("PieceId", "Number") ON DELETE RESTRICT);
                INSERT INTO "RevisionsKept" ("PieceId", "Number", "At", "BegunAt", "JobJson", "Nudge", "Parent", "What")
                SELECT "PieceId", "Number", "At", "BegunAt", "JobJson", "Nudge", "Parent", "What" FROM "Revisions";
                DROP TABLE "Revisions";
                ALTER TABLE "RevisionsKept" RENAME TO "Revisions";
                CREATE INDEX "IX_Revisions_PieceId_Parent" ON "Revisions" ("PieceId", "Parent");

                CREATE TABLE "BegunKept" (
                    "PieceId" INTEGER NOT NULL, "Number" INTEGER NOT NULL, "At" TEXT NOT NULL, "PlanJson" TEXT NOT NULL,
                    "WorkshopJson" TEXT NOT NULL, CONSTRAINT "PK_Begun" PRIMARY KEY ("PieceId", "Number"),
                    CONSTRAINT "FK_Begun_Pieces_PieceId" FOREIGN KEY ("PieceId") REFERENCES "Pieces" ("Id") ON DELETE RESTRICT);
                INSERT INTO "BegunKept" ("PieceId", "Number", "At", "PlanJson", "WorkshopJson")
                SELECT "PieceId", "Number", "At", "PlanJson", "WorkshopJson" FROM "Begun";
                DROP TABLE "Begun";
                ALTER TABLE "BegunKept" RENAME TO "Begun";

                CREATE TABLE "PrintedKept" (
                    "Id" INTEGER NOT NULL CONSTRAINT "PK_Printed" PRIMARY KEY AUTOINCREMENT, "At" TEXT NOT NULL,
                    "Enlarged" REAL NOT NULL, "InputHash" TEXT NOT NULL, "Kind" TEXT NOT NULL, "MeasuredMm" REAL NULL,
                    "PieceId" INTEGER NOT NULL, "PlanJson" TEXT NOT NULL, "Printer" TEXT NOT NULL, "Revision" INTEGER NOT NULL,
                    "Void" INTEGER NOT NULL,
                    CONSTRAINT "FK_Printed_Revisions_PieceId_Revision" FOREIGN KEY ("PieceId", "Revision") REFERENCES "Revisions" ("PieceId", "Number") ON DELETE RESTRICT);
                INSERT INTO "PrintedKept" ("Id", "At", "Enlarged", "InputHash", "Kind", "MeasuredMm", "PieceId", "PlanJson", "Printer", "Revision", "Void")
                SELECT "Id", "At", "Enlarged", "InputHash", "Kind", "MeasuredMm", "PieceId", "PlanJson", "Printer", "Revision", "Void" FROM "Printed";
                DROP TABLE "Printed";
                ALTER TABLE "PrintedKept" RENAME TO "Printed";
                CREATE INDEX "IX_Printed_PieceId_Revision" ON "Printed" ("PieceId", "Revision");

                CREATE TABLE "ProofsKept" (
                    "Id" INTEGER NOT NULL CONSTRAINT "PK_Proofs" PRIMARY KEY AUTOINCREMENT, "At" TEXT NOT NULL,
                    "PieceId" INTEGER NOT NULL, "Who" TEXT NOT NULL, "Words" TEXT NOT NULL,
                    CONSTRAINT "FK_Proofs_Pieces_PieceId" FOREIGN KEY ("PieceId") REFERENCES "Pieces" ("Id") ON DELETE RESTRICT);
                INSERT INTO "ProofsKept" ("Id", "At", "PieceId", "Who", "Words")
                SELECT "Id", "At", "PieceId", "Who", "Words" FROM "Proofs";
                DROP TABLE "Proofs";
                ALTER TABLE "ProofsKept" RENAME TO "Proofs";
                CREATE INDEX "IX_Proofs_PieceId" ON "Proofs" ("PieceId");

                CREATE TABLE "LogKept" (
                    "Id" INTEGER NOT NULL CONSTRAINT "PK_Log" PRIMARY KEY AUTOINCREMENT, "At" TEXT NOT NULL, "Cloth" TEXT NULL,
                    "For" INTEGER NULL, "Item" TEXT NULL, "Kind" TEXT NOT NULL, "LeftMm" REAL NULL, "Minutes" REAL NOT NULL,
                    "Note" TEXT NOT NULL, "Once" TEXT NOT NULL, "PictureId" TEXT NULL, "PieceId" INTEGER NOT NULL,
                    "PlannedMinutes" REAL NOT NULL, "PlannedMm" REAL NULL, "RealMm" REAL NULL, "Step" TEXT NOT NULL,
                    "Stitch" TEXT NULL, "TakenBack" INTEGER NOT NULL,
                    CONSTRAINT "FK_Log_Log_For" FOREIGN KEY ("For") REFERENCES "LogKept" ("Id") ON DELETE RESTRICT,
                    CONSTRAINT "FK_Log_Pictures_PictureId" FOREIGN KEY ("PictureId") REFERENCES "Pictures" ("Id") ON DELETE RESTRICT,
                    CONSTRAINT "FK_Log_Pieces_PieceId" FOREIGN KEY ("PieceId") REFERENCES "Pieces" ("Id") ON DELETE RESTRICT);
                INSERT INTO "LogKept" ("Id", "At", "Cloth", "For", "Item", "Kind", "LeftMm", "Minutes", "Note", "Once", "PictureId", "PieceId", "PlannedMinutes", "PlannedMm", "RealMm", "Step", "Stitch", "TakenBack")
                SELECT "Id", "At", "Cloth", "For", "Item", "Kind", "LeftMm", "Minutes", "Note", "Once", "PictureId", "PieceId", "PlannedMinutes", "PlannedMm", "RealMm", "Step", "Stitch", "TakenBack" FROM "Log";
                DROP TABLE "Log";
                ALTER TABLE "LogKept" RENAME TO "Log";
                CREATE INDEX "IX_Log_For" ON "Log" ("For");
                CREATE UNIQUE INDEX "IX_Log_Once" ON "Log" ("Once");
                CREATE INDEX "IX_Log_PictureId" ON "Log" ("PictureId");
                CREATE INDEX "IX_Log_PieceId" ON "Log" ("PieceId");

                CREATE TABLE "PhotographsKept" (
                    "Id" INTEGER NOT NULL CONSTRAINT "PK_Photographs" PRIMARY KEY AUTOINCREMENT, "At" TEXT NOT NULL,
                    "Corners" TEXT NULL, "ForForm" TEXT NULL, "Note" TEXT NOT NULL, "PictureId" TEXT NOT NULL,
                    "Reference" TEXT NULL, "TurnDegrees" REAL NOT NULL, "ViewId" TEXT NULL,
                    CONSTRAINT "FK_Photographs_Forms_ForForm" FOREIGN KEY ("ForForm") REFERENCES "Forms" ("Id") ON DELETE RESTRICT,
                    CONSTRAINT "FK_Photographs_Pictures_PictureId" FOREIGN KEY ("PictureId") REFERENCES "Pictures" ("Id") ON DELETE RESTRICT,
                    CONSTRAINT "FK_Photographs_Pictures_ViewId" FOREIGN KEY ("ViewId") REFERENCES "Pictures" ("Id") ON DELETE RESTRICT);
                INSERT INTO "PhotographsKept" ("Id", "At", "Corners", "ForForm", "Note", "PictureId", "Reference", "TurnDegrees", "ViewId")
                SELECT "Id", "At", "Corners", "ForForm", "Note", "PictureId", "Reference", "TurnDegrees", "ViewId" FROM "Photographs";
                DROP TABLE "Photographs";
                ALTER TABLE "PhotographsKept" RENAME TO "Photographs";
                CREATE INDEX "IX_Photographs_ForForm" ON "Photographs" ("ForForm");
                CREATE INDEX "IX_Photographs_PictureId" ON "Photographs" ("PictureId");
                CREATE INDEX "IX_Photographs_ViewId" ON "Photographs" ("ViewId");
                """);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder) =>
            throw new System.NotSupportedException("The copy that was made before this step is the way back.");
    }
}
