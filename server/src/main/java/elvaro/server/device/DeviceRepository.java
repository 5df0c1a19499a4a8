package elvaro.server.device;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface DeviceRepository extends Repository<Device, UUID> {
    Optional<Device> findById(UUID id);

    @Query("select d from Device d left join fetch d.chamber where not d.revoked order by d.name")
    List<Device> open();

    Device save(Device device);
}
