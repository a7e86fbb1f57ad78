/**
 * What commands show: findings, remedies, previews and steps, as text, JSON, SARIF and Markdown.
 */
package paredown.cli.show;
