/** Builds held against one another and inputs swept: which part, for how much power. */
package grandbore.desktop.weighing;
