package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import vanemend.app.TestServer;
import vanemend.core.plan.FrozenPlan;

class StoreTest {
    private final JdbcClient db = TestServer.db();

    @Test
    void benchEventsAndFrozenPlansAreNeverChangedOrDeleted() {
        for (String sql : new String[] {
            "UPDATE bench_event SET answer = 'x'",
            "DELETE FROM bench_event",
            "UPDATE frozen_plan SET rule_book = 'x'",
            "DELETE FROM frozen_plan"
        }) {
            assertThatThrownBy(() -> db.sql(sql).update()).as(sql).hasMessageContaining("never");
        }
    }

    @Test
    void theTablesRefuseWhatCannotBe() {
        for (String sql : new String[] {
            "UPDATE shop_air SET temp_c = 60",
            "UPDATE shelf_item SET quantity = -1",
            "UPDATE account SET role = 'KING'",
            "UPDATE repair SET draft = 'no json'",
            "INSERT INTO house_rule_change (question, answer, changed_by, changed_at) VALUES ('ladder', 'fine', 'nobody', NOW())",
            "INSERT INTO bench_event (id, repair_id, kind, at, received_at, account_id, step, answer, text)"
                    + " SELECT UUID(), repair_id, 'READING', NOW(), NOW(), 'tam', '', '', '' FROM frozen_plan LIMIT 1",
            "UPDATE shelf_item SET lot = REPEAT('x', 41)"
        }) {
            assertThatThrownBy(() -> db.sql(sql).update()).as(sql).isInstanceOf(DataAccessException.class);
        }
    }

    @Test
    void theSessionIsStrictAndInUtc() {
        assertThat(db.sql("SELECT @@sql_mode").query(String.class).single()).contains("STRICT_ALL_TABLES");
        assertThat(db.sql("SELECT @@time_zone").query(String.class).single()).isEqualTo("+00:00");
        assertThat(db.sql("SELECT @@character_set_database").query(String.class).single())
                .isEqualTo("utf8mb4");
    }

    @Test
    void aFrozenPlanReadBackIsTheSameToTheLastFigure() {
        Json json = TestServer.bean(Json.class);
        db.sql("SELECT plan FROM frozen_plan").query(String.class).list().forEach(text -> {
            FrozenPlan once = json.read(text, FrozenPlan.class);
            assertThat(json.read(json.write(once), FrozenPlan.class)).isEqualTo(once);
        });
    }

    @Test
    void theShelfReadBackIsWhatWasPutOnIt() {
        Shelf shelf = TestServer.bean(Shelf.class);
        assertThat(shelf.all()).anySatisfy(i -> {
            assertThat(i.id()).isEqualTo("putty");
            assertThat(i.sand()).hasSize(2);
            assertThat(i.workMin()).contains(4.0);
            assertThat(i.expires()).isPresent();
        });
        assertThat(shelf.all()).anySatisfy(i -> assertThat(i.grading()).contains("CAMI"));
    }
}
