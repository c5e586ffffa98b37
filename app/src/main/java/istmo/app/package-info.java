/** The application: one package a feature. */
@NullMarked
package istmo.app;

import org.jspecify.annotations.NullMarked;
