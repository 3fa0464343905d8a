/**
 * Answers: what does this shop do otherwise than the book's pages say, and what becomes of a page by it?
 *
 * <p>In: rules as typed or read from a file, a method's page. Out: the page as this house has it, what each rule did to it, the file.
 */
package vanemend.core.house;
