/** The feature over HTTP: views, inputs and thin controllers. */
@NullMarked
package istmo.app.schools.web;

import org.jspecify.annotations.NullMarked;
