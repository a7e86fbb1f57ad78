/** Plans: rounds of planning, edits of files, and what the first two gates say of the outcome. */
package paredown.refactor.plan;
