/** Pictures of clients: what their marks tell. The pictures themselves never come here. */
@org.jspecify.annotations.NullMarked
package istmo.app.pictures;
