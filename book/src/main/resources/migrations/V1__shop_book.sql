-- One row a build; which of its revisions stands is the only thing about it that changes.
CREATE TABLE build (
  id INTEGER PRIMARY KEY,
  current_revision INTEGER
);

-- Every edit is a row of its own and is never changed: undo and redo move along the parents.
CREATE TABLE revision (
  id INTEGER PRIMARY KEY,
  build_id INTEGER NOT NULL REFERENCES build (id),
  parent_id INTEGER REFERENCES revision (id),
  at TEXT NOT NULL,
  what TEXT NOT NULL,
  document TEXT NOT NULL
);

CREATE INDEX revision_by_build ON revision (build_id, parent_id);

-- Readings are kept for ever: a correction strikes one out and adds another.
CREATE TABLE reading (
  id INTEGER PRIMARY KEY,
  build_id INTEGER NOT NULL REFERENCES build (id),
  measurement TEXT NOT NULL,
  place INTEGER NOT NULL,
  side TEXT NOT NULL,
  value_si REAL NOT NULL,
  read_by TEXT NOT NULL,
  instrument TEXT NOT NULL,
  at TEXT NOT NULL
);

CREATE INDEX reading_by_build ON reading (build_id);

-- Striking out and taking it back are events too, the last one counts.
CREATE TABLE strike (
  id INTEGER PRIMARY KEY,
  reading_id INTEGER NOT NULL REFERENCES reading (id),
  struck INTEGER NOT NULL,
  at TEXT NOT NULL
);

CREATE TRIGGER revision_is_kept BEFORE UPDATE ON revision BEGIN SELECT RAISE(ABORT, 'revisions are never changed'); END;
CREATE TRIGGER revision_stays BEFORE DELETE ON revision BEGIN SELECT RAISE(ABORT, 'revisions are never deleted'); END;
CREATE TRIGGER reading_is_kept BEFORE UPDATE ON reading BEGIN SELECT RAISE(ABORT, 'readings are never changed'); END;
CREATE TRIGGER reading_stays BEFORE DELETE ON reading BEGIN SELECT RAISE(ABORT, 'readings are never deleted'); END;
