BEGIN TRANSACTION;
CREATE TABLE "Begun" ("PieceId" INTEGER NOT NULL CONSTRAINT "PK_Begun" PRIMARY KEY, "WorkshopJson" TEXT NOT NULL, "At" TEXT NOT NULL, "PlanJson" TEXT NOT NULL DEFAULT '');
INSERT INTO "Begun" VALUES(2,'{"stash": {"hoopsMm": [102, 127]}, "workshop": {"equipment": ["window", "iron"], "skill": "expert", "eveningsPerWeek": 3, "minutesPerEvening": 45, "hourlyRate": 0}, "habits": {"letter-stitch": "chain"}}','2026-11-20 18:30:00','{"schema":"dittany.plan/1"}');
CREATE TABLE "Drawings" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_Drawings" PRIMARY KEY AUTOINCREMENT,
    "Name" TEXT NOT NULL,
    "PartsJson" TEXT NOT NULL,
    "NotUsed" TEXT NOT NULL,
    "At" TEXT NOT NULL,
    "Archived" INTEGER NOT NULL
, "Head" INTEGER NULL);
CREATE TABLE "Fonts" (
    "Id" TEXT NOT NULL CONSTRAINT "PK_Fonts" PRIMARY KEY,
    "Name" TEXT NOT NULL,
    "Bytes" BLOB NOT NULL,
    "At" TEXT NOT NULL,
    "Opening" INTEGER NOT NULL
);
CREATE TABLE "FormRevisions" (
    "FormId" TEXT NOT NULL,
    "Number" INTEGER NOT NULL,
    "Json" TEXT NOT NULL,
    "What" TEXT NOT NULL,
    "At" TEXT NOT NULL, "Parent" INTEGER NULL,
    CONSTRAINT "PK_FormRevisions" PRIMARY KEY ("FormId", "Number"),
    CONSTRAINT "FK_FormRevisions_Forms_FormId" FOREIGN KEY ("FormId") REFERENCES "Forms" ("Id") ON DELETE RESTRICT
);
CREATE TABLE "Forms" (
    "Id" TEXT NOT NULL CONSTRAINT "PK_Forms" PRIMARY KEY,
    "Head" INTEGER NOT NULL,
    "Archived" INTEGER NOT NULL
);
CREATE TABLE "Photographs" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_Photographs" PRIMARY KEY AUTOINCREMENT,
    "PictureId" TEXT NOT NULL,
    "Note" TEXT NOT NULL,
    "Reference" TEXT NULL,
    "Corners" TEXT NULL,
    "TurnDegrees" REAL NOT NULL,
    "ViewId" TEXT NULL,
    "At" TEXT NOT NULL, "ForForm" TEXT NULL,
    CONSTRAINT "FK_Photographs_Pictures_PictureId" FOREIGN KEY ("PictureId") REFERENCES "Pictures" ("Id") ON DELETE RESTRICT
);
CREATE TABLE "Pictures" (
    "Id" TEXT NOT NULL CONSTRAINT "PK_Pictures" PRIMARY KEY,
    "Bytes" BLOB NOT NULL,
    "ContentType" TEXT NOT NULL,
    "WidthPx" INTEGER NOT NULL,
    "HeightPx" INTEGER NOT NULL,
    "At" TEXT NOT NULL
);
CREATE TABLE "Pieces" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_Pieces" PRIMARY KEY AUTOINCREMENT,
    "Head" INTEGER NOT NULL,
    "CreatedAt" TEXT NOT NULL
);
INSERT INTO "Pieces" VALUES(1,2,'2026-11-20 18:30:00');
INSERT INTO "Pieces" VALUES(2,2,'2026-11-20 18:30:00');
INSERT INTO "Pieces" VALUES(3,1,'2026-11-20 18:30:00');
INSERT INTO "Pieces" VALUES(4,2,'2026-11-20 18:30:00');
INSERT INTO "Pieces" VALUES(5,1,'2026-11-20 18:30:00');
CREATE TABLE "Printed" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_Printed" PRIMARY KEY AUTOINCREMENT,
    "PieceId" INTEGER NOT NULL,
    "Revision" INTEGER NOT NULL,
    "InputHash" TEXT NOT NULL,
    "PlanJson" TEXT NOT NULL,
    "At" TEXT NOT NULL
, "Enlarged" REAL NOT NULL DEFAULT 1.0, "Kind" TEXT NOT NULL DEFAULT 'template', "MeasuredMm" REAL NULL, "Printer" TEXT NOT NULL DEFAULT '', "Void" INTEGER NOT NULL DEFAULT 0);
CREATE TABLE "Printers" (
    "Name" TEXT NOT NULL CONSTRAINT "PK_Printers" PRIMARY KEY,
    "Scale" REAL NOT NULL,
    "At" TEXT NOT NULL
);
CREATE TABLE "Proofs" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_Proofs" PRIMARY KEY AUTOINCREMENT,
    "PieceId" INTEGER NOT NULL,
    "Words" TEXT NOT NULL,
    "Who" TEXT NOT NULL,
    "At" TEXT NOT NULL
);
CREATE TABLE "Revisions" (
    "PieceId" INTEGER NOT NULL,
    "Number" INTEGER NOT NULL,
    "Parent" INTEGER NULL,
    "JobJson" TEXT NOT NULL,
    "What" TEXT NOT NULL,
    "Nudge" INTEGER NOT NULL,
    "At" TEXT NOT NULL,
    CONSTRAINT "PK_Revisions" PRIMARY KEY ("PieceId", "Number"),
    CONSTRAINT "FK_Revisions_Pieces_PieceId" FOREIGN KEY ("PieceId") REFERENCES "Pieces" ("Id") ON DELETE RESTRICT
);
INSERT INTO "Revisions" VALUES(1,1,NULL,'{"schema": "dittany.job/1", "title": "Wilma", "today": "2026-11-20", "item": {"form": "baby-bodysuit"}, "elements": [{"id": "name", "kind": "text", "text": "Wilma"}]}','New piece',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(1,2,1,'{"schema": "dittany.job/1", "title": "Wilma", "today": "2026-11-20", "item": {"form": "baby-bodysuit"}, "elements": [{"id": "name", "kind": "text", "text": "Wilma"}], "dueOn": "2027-03-14"}','Day',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(2,1,NULL,'{"schema": "dittany.job/1", "title": "Ottokar", "today": "2026-11-20", "item": {"form": "napkin"}, "elements": [{"id": "name", "kind": "text", "text": "Ottokar"}]}','New piece',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(2,2,1,'{"schema": "dittany.job/1", "title": "Ottokar", "today": "2026-11-20", "item": {"form": "napkin"}, "elements": [{"id": "name", "kind": "text", "text": "Ottokar"}], "done": {"marked": true, "runs": 1, "finished": false}}','One length',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(3,1,NULL,'{"schema": "dittany.job/1", "title": "Nothing to see", "today": "2026-11-20", "item": {"form": "tea-towel"}, "elements": [{"id": "name", "kind": "text", "text": "\u200b"}]}','New piece',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(4,1,NULL,'{"schema": "dittany.job/1", "title": "Thyme", "today": "2026-11-20", "item": {"form": "tea-towel"}, "elements": [{"id": "name", "kind": "text", "text": "Thyme"}]}','New piece',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(4,2,1,'{"schema":"dittany.job/1","title":"Torn","item":','Broken off',0,'2026-11-20 18:30:00');
INSERT INTO "Revisions" VALUES(5,1,NULL,'{"schema": "dittany.job/1", "title": "Bea", "today": "2026-11-20", "item": {"form": "tea-towel"}, "elements": [{"id": "name", "kind": "text", "text": "Bea"}], "overrules": {"needle.size:2": "crewel-5"}}','New piece',0,'2026-11-20 18:30:00');
CREATE TABLE "Tracings" (
    "DrawingId" INTEGER NOT NULL,
    "Number" INTEGER NOT NULL,
    "Parent" INTEGER NOT NULL,
    "Json" TEXT NOT NULL,
    "What" TEXT NOT NULL,
    "At" TEXT NOT NULL,
    CONSTRAINT "PK_Tracings" PRIMARY KEY ("DrawingId", "Number"),
    CONSTRAINT "FK_Tracings_Drawings_DrawingId" FOREIGN KEY ("DrawingId") REFERENCES "Drawings" ("Id") ON DELETE RESTRICT
);
CREATE TABLE "WorkshopHeads" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_WorkshopHeads" PRIMARY KEY AUTOINCREMENT,
    "Head" INTEGER NOT NULL
);
CREATE TABLE "Workshops" (
    "Number" INTEGER NOT NULL CONSTRAINT "PK_Workshops" PRIMARY KEY,
    "Parent" INTEGER NULL,
    "Json" TEXT NOT NULL,
    "What" TEXT NOT NULL,
    "At" TEXT NOT NULL
);
CREATE TABLE "__EFMigrationsHistory" (
    "MigrationId" TEXT NOT NULL CONSTRAINT "PK___EFMigrationsHistory" PRIMARY KEY,
    "ProductVersion" TEXT NOT NULL
);
INSERT INTO "__EFMigrationsHistory" VALUES('20261123133245_First','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261123195846_Sheets','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261123222346_BegunPlan','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261123234831_Cupboard','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261124035013_Letters','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261128054251_Tracings','10.0.15');
INSERT INTO "__EFMigrationsHistory" VALUES('20261128084455_Sides','10.0.15');
CREATE TABLE "__EFMigrationsLock" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK___EFMigrationsLock" PRIMARY KEY,
    "Timestamp" TEXT NOT NULL
);
CREATE INDEX "IX_Printed_PieceId_Revision" ON "Printed" ("PieceId", "Revision");
CREATE INDEX "IX_Proofs_PieceId" ON "Proofs" ("PieceId");
CREATE INDEX "IX_Photographs_PictureId" ON "Photographs" ("PictureId");
COMMIT;
