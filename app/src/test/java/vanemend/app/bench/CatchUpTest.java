package vanemend.app.bench;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.verifyNoMoreInteractions;
import static org.mockito.Mockito.when;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.dao.TransientDataAccessResourceException;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.Leases;

@DisplayName(
        "what closed under an earlier release is sorted in: all of it, by one server, whatever one of them is like")
class CatchUpTest {
    private final ClosedRuns closed = mock();
    private final RepairWork work = mock();
    private final Leases leases = mock();
    private final Bell bell = mock();
    private final CatchUp catchUp = new CatchUp(closed, work, leases, bell);

    @BeforeEach
    void turn() {
        when(leases.mine(anyString(), any())).thenReturn(true);
        when(closed.toLookAt(Mockito.eq(0L), anyInt())).thenReturn(List.of(3L, 7L));
        when(closed.toLookAt(Mockito.eq(8L), anyInt())).thenReturn(List.of(9L));
    }

    @Test
    void everyOneIsLookedAtAndThoseThatMovedRing() {
        when(work.sort(7)).thenReturn(true);
        catchUp.run();
        for (long id : List.of(3L, 7L, 9L)) {
            verify(work).sort(id);
        }
        verify(bell).ring(7);
        verifyNoMoreInteractions(bell);
    }

    @Test
    void oneThatCannotBeReadHarmsNoOther() {
        when(work.sort(3)).thenThrow(new IllegalStateException("damaged"));
        catchUp.run();
        verify(work).sort(9);
    }

    @Test
    void anotherServerAtItIsLeftAlone() {
        when(leases.mine(anyString(), any())).thenReturn(false);
        catchUp.run();
        verifyNoInteractions(work);
    }

    @Test
    void aStoreThatIsAwayIsTriedAgainLater() {
        when(work.sort(3)).thenThrow(new TransientDataAccessResourceException("away"));
        assertThatCode(catchUp::run).doesNotThrowAnyException();
        verify(work, never()).sort(9);
    }
}
