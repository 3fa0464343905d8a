/** What leaves the house on paper: templates 1:1 and the bench sheet. */
package vanemend.app.export;
