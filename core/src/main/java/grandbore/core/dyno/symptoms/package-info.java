/**
 * From a symptom to its cause: what may be behind it, how likely by what the channels say, and the
 * cheapest test that parts the causes. The symptoms themselves are data, which a shop may add to.
 */
package grandbore.core.dyno.symptoms;
