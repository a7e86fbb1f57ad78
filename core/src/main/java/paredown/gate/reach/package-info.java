/** Which tests reach which code: recorded while they run, asked before a change. */
package paredown.gate.reach;
