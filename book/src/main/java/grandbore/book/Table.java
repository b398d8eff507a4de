package grandbore.book;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jdbi.v3.core.Handle;

/** The tables whose rows are only added, each row with its sum and its link to the one before. */
enum Table {
  REVISION("revision", "a revision of a build"),
  READING("reading", "a reading"),
  STRIKE("strike", "the striking out of a reading"),
  NOTE("note", "a note"),
  NOTE_STRIKE("note_strike", "the striking out of a note");

  private final String table;
  private final String row;

  Table(String table, String row) {
    this.table = table;
    this.row = row;
  }

  String table() {
    return table;
  }

  /** One of its rows in words. */
  String row() {
    return row;
  }

  /** The highest number in use, 0 where there is none. */
  long last(Handle h) {
    return h.createQuery("SELECT COALESCE(MAX(id), 0) FROM " + table).mapTo(Long.class).one();
  }

  /** The end of a table's chain while rows are added to it; closed, it is written. */
  final class Chain implements AutoCloseable {
    private final Handle h;
    private byte[] link;
    private int added;

    private Chain(Handle h) {
      this.h = h;
      link = head(h);
    }

    /** Takes a row into the chain; returns its link. */
    byte[] link(byte[] own) {
      link = RowSum.link(link, own);
      added++;
      return link;
    }

    @Override
    public void close() {
      h.createUpdate(
              "INSERT INTO chain (name, rows, link) VALUES (:name, :added, :link)"
                  + " ON CONFLICT (name) DO UPDATE SET rows = rows + :added, link = :link")
          .bind("name", table)
          .bind("added", added)
          .bind("link", link)
          .execute();
    }
  }

  Chain chain(Handle h) {
    return new Chain(h);
  }

  /** Takes a single row into the chain; returns its link. */
  byte[] link(Handle h, byte[] own) {
    try (var chain = chain(h)) {
      return chain.link(own);
    }
  }

  private byte[] head(Handle h) {
    return h.createQuery("SELECT link FROM chain WHERE name = :name")
        .bind("name", table)
        .mapTo(byte[].class)
        .findOne()
        .orElse(RowSum.START);
  }

  /** Where rows are missing, in words; empty where the chain is whole. */
  List<String> gaps(Handle h) {
    var walk = new Walk();
    h.createQuery("SELECT id, own, link FROM " + table + " ORDER BY id")
        .map(
            (r, c) -> {
              walk.next(r.getLong(1), r.getBytes(2), r.getBytes(3));
              return walk.last;
            })
        .list();
    if (!Arrays.equals(head(h), walk.before)) {
      walk.gaps.add("%s after number %d".formatted(row, walk.last));
    }
    return walk.gaps;
  }

  /** Goes along the chain. */
  private final class Walk {
    private final List<String> gaps = new ArrayList<>();
    private byte[] before = RowSum.START;
    private long last;

    void next(long id, byte[] own, byte[] link) {
      if (own == null || link == null || !Arrays.equals(RowSum.link(before, own), link)) {
        gaps.add("%s before number %d, after number %d".formatted(row, id, last));
      }
      before = link == null ? RowSum.START : link;
      last = id;
    }
  }
}
