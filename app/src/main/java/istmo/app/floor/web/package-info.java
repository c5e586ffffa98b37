/** The feature over HTTP: views, inputs and thin controllers. */
@NullMarked
package istmo.app.floor.web;

import org.jspecify.annotations.NullMarked;
