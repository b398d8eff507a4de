-- How a reading was taken; 0 and empty where nothing is known.
ALTER TABLE reading ADD COLUMN typed TEXT NOT NULL DEFAULT '';
ALTER TABLE reading ADD COLUMN zero_before_si REAL NOT NULL DEFAULT 0;
ALTER TABLE reading ADD COLUMN zero_after_si REAL NOT NULL DEFAULT 0;
ALTER TABLE reading ADD COLUMN temperature REAL NOT NULL DEFAULT 0;
ALTER TABLE reading ADD COLUMN note TEXT NOT NULL DEFAULT '';

-- Makers' bands, fasteners, ticks, findings, pictures; those of no build are the shop's own.
CREATE TABLE note (
  id INTEGER PRIMARY KEY,
  build_id INTEGER REFERENCES build (id),
  kind TEXT NOT NULL,
  body TEXT NOT NULL,
  made_by TEXT NOT NULL,
  at TEXT NOT NULL
);

CREATE INDEX note_by_build ON note (build_id);

CREATE TABLE note_strike (
  id INTEGER PRIMARY KEY,
  note_id INTEGER NOT NULL REFERENCES note (id),
  struck INTEGER NOT NULL,
  at TEXT NOT NULL
);

CREATE TRIGGER note_is_kept BEFORE UPDATE ON note BEGIN SELECT RAISE(ABORT, 'notes are never changed'); END;
CREATE TRIGGER note_stays BEFORE DELETE ON note BEGIN SELECT RAISE(ABORT, 'notes are never deleted'); END;
CREATE TRIGGER strike_stays BEFORE DELETE ON strike BEGIN SELECT RAISE(ABORT, 'strikes are never deleted'); END;
CREATE TRIGGER strike_is_kept BEFORE UPDATE ON strike BEGIN SELECT RAISE(ABORT, 'strikes are never changed'); END;
CREATE TRIGGER note_strike_stays BEFORE DELETE ON note_strike BEGIN SELECT RAISE(ABORT, 'strikes are never deleted'); END;
CREATE TRIGGER note_strike_is_kept BEFORE UPDATE ON note_strike BEGIN SELECT RAISE(ABORT, 'strikes are never changed'); END;
