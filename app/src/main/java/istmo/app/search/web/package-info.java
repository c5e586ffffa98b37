/** The feature over HTTP. */
@NullMarked
package istmo.app.search.web;

import org.jspecify.annotations.NullMarked;
