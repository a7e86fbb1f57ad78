/** What every part of the core may say to its caller when something goes wrong. */
package paredown;
