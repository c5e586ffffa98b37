/** The feature over HTTP. */
@NullMarked
package istmo.app.today.web;

import org.jspecify.annotations.NullMarked;
