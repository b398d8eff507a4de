/**
 * Gas through valves, ports and compressors: flow sheets to effective areas, m², valve passages by
 * lift, Mach index of ports, compressor maps. C. F. Taylor, <i>The Internal-Combustion Engine in
 * Theory and Practice</i>, volume 1, chapter 6.
 */
package grandbore.core.flow;
