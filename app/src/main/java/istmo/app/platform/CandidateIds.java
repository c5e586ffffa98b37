package istmo.app.platform;

import istmo.core.catalogue.CandidateId;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.ToStringSerializer;

/** Ids of candidates are texts in everything that is read and written. */
@Configuration
class CandidateIds {
  static {
    SpringDocUtils.getConfig().replaceWithClass(CandidateId.class, String.class);
  }

  @Bean
  JsonMapperBuilderCustomizer candidateIdsAsText() {
    return builder ->
        builder.addModule(
            new SimpleModule("candidate ids")
                .addSerializer(CandidateId.class, ToStringSerializer.instance)
                .addDeserializer(CandidateId.class, new Read()));
  }

  /** A text, with everything that is asked of texts. */
  private static final class Read extends StdScalarDeserializer<CandidateId> {
    Read() {
      super(CandidateId.class);
    }

    @Override
    public CandidateId deserialize(JsonParser parser, DeserializationContext context) {
      return new CandidateId(context.readValue(parser, String.class));
    }
  }
}
