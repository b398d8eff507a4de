/**
 * The measured book: what is measured where, readings struck and standing, bands by use and by
 * maker, the ledger that holds one against the other, what is implausible, what is to be done about
 * it, and what is kept beside the readings. In come readings, m, m³, N, Pa; out go values with
 * their spread and verdicts. Bands are common practice where no source is named.
 */
package grandbore.core.clearances;
