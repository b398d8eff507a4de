package grandbore.core.clearances;

/**
 * What is checked while it goes together, in order, with what it costs to find out later. Common
 * practice, no source; the parts' makers go before it.
 */
public enum AssemblyCheck {
  GALLERIES_CLEAN(
      "Galleries brushed, washed, blown through; plugs in and sealed",
      "what is left in there is in the bearings within a minute"),
  CRANK_TURNS(
      "Mains at their torque, the crank turns freely by hand",
      "a tight main found later takes everything out again"),
  RINGS_APART("Ring gaps turned apart, tops up", "blow-by and oil, and the pistons out again"),
  RODS_SIGNED(
      "Rod bolts at their stretch or torque, each one ticked", "one loose rod is the whole engine"),
  CAM_DEGREED("Cam degreed and the gear locked", "the dyno finds it, at the hour's price"),
  VALVES_CLEAR("Piston to valve proved at the timing that stands", "bent valves, broken pistons"),
  HEADS_SIGNED("Heads at their torque, in sequence, by stage", "a blown gasket, a pulled deck"),
  PRIMED(
      "Oil primed through: it comes at every rocker, before the intake goes on",
      "with the intake on it cannot be seen any more, and the first start is dry"),
  LASH_SET("Lash set, pushrods spun, rocker pattern seen", "a burned valve or a beaten lobe"),
  PLUGS_INDEXED("Plugs turned to their mark, clear of the piston", "a closed gap, a bent strap"),
  TIMING_STATIC("Ignition timed by hand before the first start", "it kicks back, or burns lean"),
  FLUIDS("Oil, water, fuel tight; an extinguisher at hand", "fire, and a seized engine"),
  FIRST_START(
      "First start: oil pressure at once, break-in as the cam's maker says",
      "a flat lobe in ten minutes"),
  FILTER_OPENED("Filter cut open after the first run and read", "metal seen early saves the crank"),
  RETORQUED("Heads and lash again after the first heat, where their makers say so", "a leak");

  private final String label;
  private final String price;

  AssemblyCheck(String label, String price) {
    this.label = label;
    this.price = price;
  }

  public String label() {
    return label;
  }

  /** What it costs to find out later. */
  public String price() {
    return price;
  }

  /** What is signed when it is done. */
  public Tick tick() {
    return new Tick("check/" + name());
  }
}
