/**
 * What is on the bench: one immutable state that changes once per edit, the way back, the book read
 * and written behind it on threads of its own.
 */
package grandbore.desktop.session;
