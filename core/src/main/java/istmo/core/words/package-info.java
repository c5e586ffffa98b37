/**
 * Sentences about facts that other packages have found. Nothing is computed here, and what computes
 * does not know it.
 */
@NullMarked
package istmo.core.words;

import org.jspecify.annotations.NullMarked;
