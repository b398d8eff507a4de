package grandbore.core.clearances;

/** Something kept in the book beside the readings; never changed, only struck out. */
public sealed interface Note
    permits Rule,
        Fastener,
        Tick,
        Finding,
        Photo,
        Remark,
        Planned,
        Stocked,
        SpeedShares,
        Studied,
        OnDyno,
        OnJob,
        OwnKind,
        OwnReading {}
