package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.Kept;
import vanemend.app.TestServer;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.record.RepairRecord;

@DisplayName("a store of the first release opens under this one")
class MigrationTest {
    private static DriverManagerDataSource source(String database) {
        Environment env = TestServer.bean(Environment.class);
        String url = env.getRequiredProperty("spring.datasource.url").replaceAll("/vanemend_test.*", "/" + database);
        return new DriverManagerDataSource(
                url, env.getRequiredProperty("spring.flyway.user"), env.getRequiredProperty("spring.flyway.password"));
    }

    private static Flyway flyway(String target) {
        return Flyway.configure()
                .dataSource(source("vanemend_old"))
                .locations("classpath:db/migration")
                .target(target)
                .load();
    }

    @Test
    void dentsOfAnOldRepairAndOfAStartedPlanAreStillThere() {
        JdbcClient admin = JdbcClient.create(source("vanemend"));
        admin.sql("DROP DATABASE IF EXISTS vanemend_old").update();
        admin.sql("CREATE DATABASE vanemend_old CHARACTER SET utf8mb4").update();
        flyway("1").migrate();
        JdbcClient old = JdbcClient.create(source("vanemend_old"));
        old.sql("INSERT INTO account VALUES ('tam', 'Tam', 'TECHNICIAN', REPEAT('x', 60))")
                .update();
        ObjectNode plan = TestServer.bean(Json.class).tree(Kept.text("plan-first-release.json"));
        old.sql("INSERT INTO repair (draft, created_by, created_at, changed_by, changed_at, client_id)"
                        + " VALUES (?, 'tam', UTC_TIMESTAMP(3), 'tam', UTC_TIMESTAMP(3), UUID())")
                .param(plan.get("draft").toString())
                .update();
        old.sql("INSERT INTO frozen_plan VALUES (1, 'old-book', UTC_TIMESTAMP(3), 'tam', ?)")
                .param(plan.toString())
                .update();
        flyway("2").migrate();
        Json json = TestServer.bean(Json.class);
        RepairDraft now = json.read(
                old.sql("SELECT draft FROM repair").query(String.class).single(), RepairDraft.class);
        assertThat(now.damages())
                .singleElement()
                .satisfies(d -> assertThat(d.depthMm()).isEqualTo(2.8));
        ObjectNode tree = json.tree(
                old.sql("SELECT plan FROM frozen_plan").query(String.class).single());
        Formats.plan(1, tree);
        FrozenPlan kept = json.read(tree, FrozenPlan.class);
        assertThat(kept.draft().damages()).isEqualTo(now.damages());
        assertThat(kept.workup().drawing().outline()).hasSize(8);
        assertThat(kept.workup().drawing().zones()).isNotEmpty();
        assertThat(kept.plan().loops()).isNotEmpty();
        assertThat(kept.plan().portions()).as("not known then").isEmpty();
        assertThat(kept.plan().recipe()).isEqualTo("dent-filler-putty");
        assertThat(kept.plan().ladder().rungs())
                .allSatisfy(r -> assertThat(r.leg()).isIn("shape", "fine"));
        assertThat(RepairRecord.of(kept, List.of(), Instant.parse("2026-11-24T09:00:00Z"))
                        .lots())
                .isNotEmpty();
        assertThat(org.assertj.core.api.Assertions.catchThrowable(
                        () -> old.sql("UPDATE frozen_plan SET plan = '{}'").update()))
                .as("a started plan is guarded again")
                .hasMessageContaining("never changed");
        admin.sql("DROP DATABASE vanemend_old").update();
    }
}
