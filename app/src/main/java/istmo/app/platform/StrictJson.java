package istmo.app.platform;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.type.LogicalType;

/**
 * Nothing is read that was not meant: no gap in a list, no enum or date by a number, no text that
 * is none (a zero, or half of a character).
 */
@Configuration
class StrictJson {
  @Bean
  JsonMapperBuilderCustomizer strict() {
    return builder ->
        builder
            .changeDefaultNullHandling(value -> value.withContentNulls(Nulls.FAIL))
            .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
            .withCoercionConfig(
                LogicalType.DateTime,
                config ->
                    config
                        .setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
                        .setCoercion(CoercionInputShape.Float, CoercionAction.Fail))
            .addModule(new SimpleModule("text").addDeserializer(String.class, new Text()));
  }

  /** Text that a database can keep as it is. */
  private static final class Text extends StdScalarDeserializer<String> {
    Text() {
      super(String.class);
    }

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
      String text = StringDeserializer.instance.deserialize(parser, context);
      if (text != null && !isText(text)) {
        throw InvalidFormatException.from(
            parser, "holds a character that cannot be kept", text, String.class);
      }
      return text;
    }
  }

  private static boolean isText(String text) {
    return text.codePoints().noneMatch(c -> c == 0 || (c >= 0xD800 && c <= 0xDFFF));
  }
}
